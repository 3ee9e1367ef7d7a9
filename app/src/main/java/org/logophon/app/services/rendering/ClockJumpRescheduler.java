package org.logophon.app.services.rendering;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import org.logophon.app.platform.node.ClockWentBack;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The rescheduling of jobs when the database's clock goes back: without it, what was due in a moment would be due in an
 * hour, and a server that died would be there for as long. Several servers may do this at the same jump: what is
 * planned for tomorrow comes a little sooner then.
 */
@Component
class ClockJumpRescheduler {

    private final JdbcClient jdbc;
    private final Clock clock;

    ClockJumpRescheduler(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @EventListener
    void goBack(ClockWentBack jump) {
        jdbc.sql("""
                update scheduled_tasks set
                  execution_time = case when execution_time > :now then execution_time - make_interval(secs => :by) else
                  execution_time end,
                  last_heartbeat = least(last_heartbeat, :now)
                where execution_time > :now or last_heartbeat > :now""")
                .param("now", OffsetDateTime.ofInstant(clock.instant(), ZoneOffset.UTC))
                .param("by", jump.by().toSeconds())
                .update();
    }
}
