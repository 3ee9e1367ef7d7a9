package org.logophon.app.platform.audio;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sounds that nothing refers to go after a week: seven days in which an undo can still find them. */
@Component
public class SoundUpkeep implements Upkeep {

    static final Duration KEPT = Duration.ofDays(7);
    /** A sound that isn't whole after so long never will be: its writer is gone. */
    private static final Duration HALF_WRITTEN = Duration.ofDays(1);

    static final String REFERRED =
            "exists (select 1 from speech p where p.sound_id = s.id) or exists (select 1 from paid_speech "
                    + "p where p.sound_id = s.id)"
                    + " or exists (select 1 from recording_upload p where p.sound_id = s.id)"
                    + " or exists (select 1 from sound_file p where p.sound_id = s.id)"
                    + " or exists (select 1 from delivered_sound p where p.sound_id = s.id)";

    private final JdbcClient jdbc;

    SoundUpkeep(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public List<Held> held() {
        return jdbc.sql("select count(*) as things, coalesce(sum(samples * bits / 8), 0) as bytes from "
                        + "sound s where not ("
                        + REFERRED + ")")
                .query(Held.counted("Unused sounds", "Deleted after 7 days without use."))
                .list();
    }

    @Override
    @Transactional
    public List<Removed> remove(Instant now) {
        jdbc.sql("update sound s set unused_since = null where unused_since is not null and (" + REFERRED + ")")
                .update();
        jdbc.sql("update sound s set unused_since = :now where unused_since is null and not (" + REFERRED + ")")
                .param("now", time(now))
                .update();
        // one that somebody is about to use is passed over, and looked at the next time
        return jdbc.sql("""
                with going as (
                  select id from sound s where not (%s)
                  and (unused_since < :before or hash is null and stored_at < :halfWritten) for update skip locked),
                gone as (delete from sound where id in (select id from going) returning samples, bits)
                select count(*) as things, coalesce(sum(samples * bits / 8), 0) as bytes
                from gone""".formatted(REFERRED))
                .param("before", time(now.minus(KEPT)))
                .param("halfWritten", time(now.minus(HALF_WRITTEN)))
                .query((row, at) -> new Removed("sounds", row.getLong("things"), row.getLong("bytes")))
                .list();
    }

    /** After everything that refers to sounds. */
    @Override
    public int turn() {
        return 100;
    }
}
