package org.logophon.app.steps.status;

import static org.logophon.app.platform.table.Columns.time;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What waits, over all servers: cues, and jobs in the scheduler's table. */
@Repository
class JobsTable {

    /** Several figures of one look are of one moment, and whoever watches closely costs no more. */
    private static final Duration FRESH = Duration.ofSeconds(2);

    private final JdbcClient jdbc;
    private final Clock clock;
    private final Cache<Boolean, Jobs> looked =
            Caffeine.newBuilder().expireAfterWrite(FRESH).build();

    JobsTable(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * Cues that are to be rendered, and jobs that are due. What comes again by itself waits for its time, not for a
     * hand; a lane is no job, the cues are.
     *
     * @param waiting nobody has begun them
     * @param running a server is at them
     * @param later   they failed and come again after a while
     * @param oldest  since when the one waits that waits longest; null for none
     */
    record Jobs(long waiting, long running, long later, Instant oldest) {

        double oldestSeconds(Instant now) {
            return oldest == null
                    ? 0
                    : Math.max(0, Duration.between(oldest, now).toMillis() / 1_000.0);
        }
    }

    Jobs now() {
        return looked.get(
                true,
                key -> jdbc.sql("""
                        with job as (
                          select picked, execution_time from scheduled_tasks
                          where task_instance <> 'recurring' and task_name <> 'render-lane'
                          union all
                          select c.lane is not null, b.created_at from batch_cue bc join batch b on b.id = bc.batch_id
                          left join render_claim c on c.batch_id = bc.batch_id and c.cue_id = bc.cue_id
                          where bc.state = 'waiting' and b.paused_at is null)
                        select count(*) filter (where not picked and execution_time <= :now) as waiting,
                          count(*) filter (where picked) as running,
                          count(*) filter (where not picked and execution_time > :now) as later,
                          min(execution_time) filter (where not picked and execution_time <= :now) as oldest
                        from job""")
                        .param("now", time(clock.instant()))
                        .query(Jobs.class)
                        .single());
    }
}
