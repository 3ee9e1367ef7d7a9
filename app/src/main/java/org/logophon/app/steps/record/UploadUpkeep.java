package org.logophon.app.steps.record;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Files that nobody took go after a month. */
@Component
class UploadUpkeep implements Upkeep {

    private static final Duration KEPT = Duration.ofDays(30);

    private final JdbcClient jdbc;

    UploadUpkeep(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public List<Held> held() {
        return jdbc.sql("""
                select count(*) as things, coalesce(sum(w.samples * w.bits / 8), 0) as bytes
                from recording_upload u join sound w on w.id = u.sound_id""")
                .query(Held.counted("Imported recordings not used yet", "Deleted 30 days after import."))
                .list();
    }

    @Override
    public List<Removed> remove(Instant now) {
        int gone = jdbc.sql("delete from recording_upload where created_at < :before")
                .param("before", time(now.minus(KEPT)))
                .update();
        return gone == 0 ? List.of() : List.of(new Removed("unused recordings", gone, 0));
    }

    @Override
    public int turn() {
        return 8;
    }
}
