package org.logophon.app.services.direction;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.voice.take.TakenDirection;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Table {@code score_edit}: what scores were before and after each change. The newest {@value #MOST} of a project are
 * kept.
 */
@Repository
public class ScoreEdits {

    static final int MOST = 500;

    private final JdbcClient jdbc;
    private final Clock clock;

    ScoreEdits(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * The marks of a cue, and the words that they stood on.
     *
     * @param setting the rest of what it says of how it is spoken; null where the change left that alone
     */
    public record Snapshot(String text, Marks marks, Setting setting) {

        public Snapshot(String text, Marks marks) {
            this(text, marks, null);
        }
    }

    /** @param taken what it follows instead of its project and role; null for them */
    public record Setting(Direction direction, TakenDirection taken, long seed) {}

    /** @param what in words, as "pause after tide" */
    public record Edit(int ordinal, String what, Map<UUID, Snapshot> before, Map<UUID, Snapshot> after) {}

    /** Writes a change down; what was undone before can't be done again after it. */
    public void add(UUID project, String what, Map<UUID, Snapshot> before, Map<UUID, Snapshot> after) {
        jdbc.sql("delete from score_edit where project_id = :project and undone")
                .param("project", project)
                .update();
        int ordinal = jdbc.sql("select coalesce(max(ordinal), 0) + 1 from score_edit where project_id = :project")
                .param("project", project)
                .query(Integer.class)
                .single();
        jdbc.sql("insert into score_edit (project_id, ordinal, what, before, after, at) values "
                        + "(:project, :ordinal, :what, :before, :after, :now)")
                .param("project", project)
                .param("ordinal", ordinal)
                .param("what", what)
                .param("before", ScoreSnapshots.write(before))
                .param("after", ScoreSnapshots.write(after))
                .param("now", time(clock.instant()))
                .update();
        jdbc.sql("delete from score_edit where project_id = :project and ordinal <= :old")
                .param("project", project)
                .param("old", ordinal - MOST)
                .update();
    }

    public Optional<Edit> toUndo(UUID project) {
        return jdbc.sql("select * from score_edit where project_id = :project and not undone order by "
                        + "ordinal desc limit 1")
                .param("project", project)
                .query((row, at) -> new Edit(
                        row.getInt("ordinal"),
                        row.getString("what"),
                        ScoreSnapshots.read(row.getString("before")),
                        ScoreSnapshots.read(row.getString("after"))))
                .optional();
    }

    public Optional<Edit> toRedo(UUID project) {
        return jdbc.sql("select * from score_edit where project_id = :project and undone order by ordinal limit 1")
                .param("project", project)
                .query((row, at) -> new Edit(
                        row.getInt("ordinal"),
                        row.getString("what"),
                        ScoreSnapshots.read(row.getString("before")),
                        ScoreSnapshots.read(row.getString("after"))))
                .optional();
    }

    public void setUndone(UUID project, int ordinal, boolean undone) {
        jdbc.sql("update score_edit set undone = :undone where project_id = :project and ordinal = :ordinal")
                .param("undone", undone)
                .param("project", project)
                .param("ordinal", ordinal)
                .update();
    }
}
