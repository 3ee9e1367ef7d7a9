package org.logophon.app.services.rendering;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Of finished renders the latest of each cue is needed: what failed has to be said until it is done again. */
@Component
class BatchUpkeep implements Upkeep {

    private static final Duration KEPT = Duration.ofDays(1);

    private final JdbcClient jdbc;

    BatchUpkeep(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public List<Held> held() {
        return List.of();
    }

    @Override
    @Transactional
    public List<Removed> remove(Instant now) {
        int gone = jdbc.sql("""
                delete from batch_cue w using batch b where b.id = w.batch_id and w.state <> 'waiting'
                and w.finished_at < :before
                and exists (select 1 from batch_cue later join batch l on l.id = later.batch_id
                            where later.cue_id = w.cue_id and l.created_at > b.created_at)""").param("before", time(now.minus(KEPT))).update();
        jdbc.sql("delete from batch b where created_at < :before and not exists (select 1 from "
                        + "batch_cue w where w.batch_id = b.id)")
                .param("before", time(now.minus(KEPT)))
                .update();
        return List.of(new Removed("finished renders", gone, 0));
    }
}
