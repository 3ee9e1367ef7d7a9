package org.logophon.app.services.project.bed;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Sounds and beds that were taken out go for good after a month; a sound that lies under a delivery stays with it. */
@Component
class OwnSoundUpkeep implements Upkeep {

    private static final Duration KEPT = Duration.ofDays(30);

    private final JdbcClient jdbc;

    OwnSoundUpkeep(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public List<Held> held() {
        return jdbc.sql("""
                select count(*) as things, coalesce(sum(w.samples * w.bits / 8), 0) as bytes
                from sound_file f join sound w on w.id = f.sound_id""")
                .query(Held.counted("Sounds for gaps and beds", "Kept; removed ones are deleted after 30 days."))
                .list();
    }

    @Override
    public List<Removed> remove(Instant now) {
        var before = time(now.minus(KEPT));
        jdbc.sql("delete from bed where removed_at < :before")
                .param("before", before)
                .update();
        int gone = jdbc.sql("""
                delete from sound_file f where f.removed_at < :before and not exists (select 1 from bed b
                where b.sound_file_id = f.id)
                and not exists (select 1 from delivered_sound d
                where d.sound_id = f.sound_id)""").param("before", before).update();
        return gone == 0 ? List.of() : List.of(new Removed("removed sounds", gone, 0));
    }

    @Override
    public int turn() {
        return 8;
    }
}
