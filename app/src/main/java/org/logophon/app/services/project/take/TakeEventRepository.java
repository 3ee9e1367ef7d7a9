package org.logophon.app.services.project.take;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
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
                .param("now", clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    /** What happened to the takes of a cue, the earliest first. */
    public List<TakeEvent> of(UUID cue) {
        return jdbc.sql("select e.* from take_event e join take t on t.id = e.take_id where t.cue_id = "
                        + ":cue order by e.id")
                .param("cue", cue)
                .query((row, at) -> new TakeEvent(
                        row.getObject("take_id", UUID.class),
                        TakeEvent.What.valueOf(row.getString("what").toUpperCase(Locale.ROOT)),
                        row.getObject("at", OffsetDateTime.class).toInstant()))
                .list();
    }
}
