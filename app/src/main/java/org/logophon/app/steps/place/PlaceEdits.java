package org.logophon.app.steps.place;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.services.project.CueRepository.StoredPlace;
import org.logophon.app.services.project.PictureSlotRepository.EmptySlot;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Table {@code place_edit}: placements, and slots without a cue, before and after each change. The newest {@value
 * #MOST} of a project are kept.
 */
@Repository
class PlaceEdits {

    private static final int MOST = 300;
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<List<StoredPlace>> PLACES = new TypeReference<>() {};
    private static final TypeReference<List<EmptySlot>> SLOTS = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final Clock clock;

    PlaceEdits(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** How things stood. @param left slots without a cue; null where the change didn't touch them */
    record Stood(List<StoredPlace> places, List<EmptySlot> left) {}

    /** @param what in words */
    record Edit(int ordinal, String what, Stood before, Stood after) {}

    /** Writes a change down; what was undone before can't be done again after it. */
    void add(UUID project, String what, Stood before, Stood after) {
        jdbc.sql("delete from place_edit where project_id = :project and undone")
                .param("project", project)
                .update();
        jdbc.sql("""
                insert into place_edit (project_id, ordinal, what, before, after, slots_before, slots_after, at)
                select :project, coalesce(max(ordinal), 0) + 1, :what, cast(:before as jsonb), cast(:after as jsonb),
                       cast(:slotsBefore as jsonb), cast(:slotsAfter as jsonb), :now
                from place_edit where project_id = :project""")
                .param("project", project)
                .param("what", what)
                .param("before", JSON.writeValueAsString(before.places()))
                .param("after", JSON.writeValueAsString(after.places()))
                .param("slotsBefore", before.left() == null ? null : JSON.writeValueAsString(before.left()))
                .param("slotsAfter", after.left() == null ? null : JSON.writeValueAsString(after.left()))
                .param("now", time(clock.instant()))
                .update();
        jdbc.sql("""
                delete from place_edit where project_id = :project
                and ordinal <= (select max(ordinal) from place_edit where project_id
                = :project) - :most""").param("project", project).param("most", MOST).update();
    }

    Optional<Edit> next(UUID project, boolean undo) {
        String order = undo ? "not undone order by ordinal desc" : "undone order by ordinal";
        return jdbc.sql("select * from place_edit where project_id = :project and " + order + " limit 1")
                .param("project", project)
                .query((row, at) -> new Edit(
                        row.getInt("ordinal"),
                        row.getString("what"),
                        stood(row.getString("before"), row.getString("slots_before")),
                        stood(row.getString("after"), row.getString("slots_after"))))
                .optional();
    }

    private static Stood stood(String places, String left) {
        return new Stood(JSON.readValue(places, PLACES), left == null ? null : JSON.readValue(left, SLOTS));
    }

    void setUndone(UUID project, int ordinal, boolean undone) {
        jdbc.sql("update place_edit set undone = :undone where project_id = :project and ordinal = :ordinal")
                .param("undone", undone)
                .param("project", project)
                .param("ordinal", ordinal)
                .update();
    }
}
