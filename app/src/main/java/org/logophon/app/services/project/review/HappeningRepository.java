package org.logophon.app.services.project.review;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Clock;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code happening}: a list that is only added to; the database refuses anything else. */
@Repository
public class HappeningRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    HappeningRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @param before as it was; null where that says nothing. @param after as it is */
    public void add(UUID project, UUID cue, Happening what, String before, String after) {
        jdbc.sql("insert into happening (project_id, cue_id, what, before, after, at) values "
                        + "(:project, :cue, :what, :before, :after, :now)")
                .param("project", project)
                .param("cue", cue)
                .param("what", what.id())
                .param("before", before)
                .param("after", after)
                .param("now", time(clock.instant()))
                .update();
    }
}
