package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Deleted projects can be brought back for a month. */
@Component
public class ProjectUpkeep implements Upkeep {

    public static final Duration DELETED_KEPT = Duration.ofDays(30);

    private final JdbcClient jdbc;

    ProjectUpkeep(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public List<Held> held() {
        return jdbc.sql("""
                select count(distinct p.id) as things, coalesce(sum(w.samples * w.bits / 8), 0) as bytes from project p
                left join cue c on c.project_id = p.id left join take t on t.cue_id = c.id
                left join speech s on s.id = t.speech_id left join sound w on w.id = s.sound_id
                where p.deleted_at is not null""")
                .query(Held.counted(
                        "Deleted projects", "Deleted for good after 30 days; until then the shelf restores them."))
                .list();
    }

    @Override
    @Transactional
    public List<Removed> remove(Instant now) {
        int gone = jdbc.sql("delete from project where deleted_at < :before")
                .param("before", time(now.minus(DELETED_KEPT)))
                .update();
        return List.of(new Removed("deleted projects", gone, 0));
    }
}
