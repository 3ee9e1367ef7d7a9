package org.logophon.app.services.project.bed;

import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.core.time.bed.Bed;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code bed}. */
@Repository
public class BedRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    BedRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    public List<ProjectBed> of(UUID project) {
        return jdbc.sql("select * from bed where project_id = :project and removed_at is null order by made_at, id")
                .param("project", project)
                .query(BedRepository::bed)
                .list();
    }

    /** Also one that was removed. */
    public Optional<ProjectBed> find(UUID project, UUID id) {
        return jdbc.sql("select * from bed where project_id = :project and id = :id")
                .param("project", project)
                .param("id", id)
                .query(BedRepository::bed)
                .optional();
    }

    /** A new one, or another state of one that is there. */
    public void save(ProjectBed bed) {
        jdbc.sql("""
                insert into bed (id, project_id, sound_file_id, from_cue, to_cue, looped, fade_in_millis,
                fade_out_millis, level_db, rise_db, made_at)
                values (:id, :project, :sound, :from, :to, :looped, :in, :out, :level, :rise, :now)
                on conflict (id) do update set sound_file_id = excluded.sound_file_id, from_cue = excluded.from_cue,
                to_cue = excluded.to_cue,
                looped = excluded.looped, fade_in_millis =
                excluded.fade_in_millis, fade_out_millis = excluded.fade_out_millis,
                level_db = excluded.level_db, rise_db = excluded.rise_db""")
                .param("id", bed.id())
                .param("project", bed.project())
                .param("sound", bed.sound())
                .param("from", bed.fromCue())
                .param("to", bed.toCue())
                .param("looped", bed.settings().looped())
                .param("in", bed.settings().fadeInMillis())
                .param("out", bed.settings().fadeOutMillis())
                .param("level", bed.settings().levelDb())
                .param("rise", bed.settings().riseDb())
                .param("now", now())
                .update();
    }

    public void remove(UUID id, boolean removed) {
        jdbc.sql("update bed set removed_at = :at where id = :id")
                .param("id", id)
                .param("at", removed ? now() : null)
                .update();
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }

    private static ProjectBed bed(ResultSet row, int at) throws SQLException {
        return new ProjectBed(
                uuid(row, "id"),
                uuid(row, "project_id"),
                uuid(row, "sound_file_id"),
                uuid(row, "from_cue"),
                uuid(row, "to_cue"),
                new Bed.Settings(
                        row.getBoolean("looped"),
                        row.getInt("fade_in_millis"),
                        row.getInt("fade_out_millis"),
                        row.getDouble("level_db"),
                        row.getDouble("rise_db")));
    }
}
