package org.logophon.app.place;

import java.time.Clock;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.project.CueRepository.StoredPlace;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Table {@code place_edit}: placements before and after each change. The newest {@value #MOST} of a project are kept. */
@Repository
class PlaceEdits {

    private static final int MOST = 300;
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<List<StoredPlace>> PLACES = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final Clock clock;

    PlaceEdits(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @param what in words */
    record Edit(int ordinal, String what, List<StoredPlace> before, List<StoredPlace> after) {}

    /** Writes a change down; what was undone before can't be done again after it. */
    void add(UUID project, String what, List<StoredPlace> before, List<StoredPlace> after) {
        jdbc.sql("delete from place_edit where project_id = :project and undone")
                .param("project", project)
                .update();
        jdbc.sql("""
                insert into place_edit (project_id, ordinal, what, before, after, at)
                select :project, coalesce(max(ordinal), 0) + 1, :what, cast(:before as jsonb), cast(:after as jsonb), :now
                from place_edit where project_id = :project""")
                .param("project", project)
                .param("what", what)
                .param("before", JSON.writeValueAsString(before))
                .param("after", JSON.writeValueAsString(after))
                .param("now", clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        jdbc.sql("""
                delete from place_edit where project_id = :project
                and ordinal <= (select max(ordinal) from place_edit where project_id = :project) - :most""").param("project", project).param("most", MOST).update();
    }

    Optional<Edit> next(UUID project, boolean undo) {
        String order = undo ? "not undone order by ordinal desc" : "undone order by ordinal";
        return jdbc.sql("select * from place_edit where project_id = :project and " + order + " limit 1")
                .param("project", project)
                .query((row, at) -> new Edit(
                        row.getInt("ordinal"),
                        row.getString("what"),
                        JSON.readValue(row.getString("before"), PLACES),
                        JSON.readValue(row.getString("after"), PLACES)))
                .optional();
    }

    void setUndone(UUID project, int ordinal, boolean undone) {
        jdbc.sql("update place_edit set undone = :undone where project_id = :project and ordinal = :ordinal")
                .param("undone", undone)
                .param("project", project)
                .param("ordinal", ordinal)
                .update();
    }
}
