package org.logophon.app.services.project.take;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Lines that were heard on trial go after a month; takes stay. */
@Component
class SpeechUpkeep implements Upkeep {

    static final Duration AUDITIONS_KEPT = Duration.ofDays(30);
    /** What was made for a take that never came to be. */
    private static final Duration UNHEARD_KEPT = Duration.ofDays(7);

    private final JdbcClient jdbc;

    SpeechUpkeep(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public List<Held> held() {
        return jdbc.sql("""
                select count(*) filter (where used) as takes, coalesce(sum(bytes) filter (where used), 0) as take_bytes,
                       count(*) filter (where not used) as auditions, coalesce(sum(bytes) filter (where not
                       used), 0) as audition_bytes
                from (select w.samples * w.bits / 8 as bytes, exists (select 1 from take t
                where t.speech_id = s.id) as used
                      from speech s join sound w on w.id = s.sound_id) as known""")
                .query((row, at) -> List.of(
                        new Held(
                                "Takes",
                                "Kept until deleted and emptied.",
                                row.getLong("takes"),
                                row.getLong("take_bytes")),
                        new Held(
                                "Sample lines and readings played",
                                "Deleted 30 days after they were last played.",
                                row.getLong("auditions"),
                                row.getLong("audition_bytes"))))
                .single();
    }

    @Override
    @Transactional
    public List<Removed> remove(Instant now) {
        return jdbc.sql("""
                with gone as (
                  delete from speech s where not exists (select 1 from take t where t.speech_id = s.id)
                  and (heard_at < :heard or heard_at is null and created_at < :unheard) returning sound_id)
                select count(*) as things, coalesce(sum(w.samples * w.bits / 8), 0) as bytes from gone
                join sound w on w.id = gone.sound_id""")
                .param("heard", time(now.minus(AUDITIONS_KEPT)))
                .param("unheard", time(now.minus(UNHEARD_KEPT)))
                .query((row, at) -> new Removed("auditions", row.getLong("things"), row.getLong("bytes")))
                .list();
    }

    @Override
    public int turn() {
        return 50;
    }
}
