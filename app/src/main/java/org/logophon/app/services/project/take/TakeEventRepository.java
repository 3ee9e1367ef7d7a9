package org.logophon.app.services.project.take;

import static org.logophon.app.platform.table.Columns.constant;
import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code take_event}: a list that is only added to; the database refuses anything else. */
@Repository
public class TakeEventRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    TakeEventRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    void add(UUID take, TakeEvent.What what) {
        jdbc.sql("insert into take_event (take_id, what, at) values (:take, :what, :now)")
                .param("take", take)
                .param("what", what.id())
                .param("now", time(clock.instant()))
                .update();
    }

    /** What happened to the takes of a cue, the earliest first. */
    public List<TakeEvent> of(UUID cue) {
        return jdbc.sql("select e.* from take_event e join take t on t.id = e.take_id where t.cue_id = "
                        + ":cue order by e.id")
                .param("cue", cue)
                .query((row, at) -> new TakeEvent(
                        uuid(row, "take_id"), constant(row, "what", TakeEvent.What.class), instant(row, "at")))
                .list();
    }
}
