package org.logophon.app.services.voices;

import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.voice.Tuning;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code house_voice}. */
@Repository
class HouseVoiceRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    HouseVoiceRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A voice with the workspace that it belongs to. */
    record Owned(UUID workspace, HouseVoice voice) {}

    /** Of all workspaces: whoever shows them asks whose they are. */
    List<Owned> all() {
        return jdbc.sql("select * from house_voice order by name, id")
                .query((row, at) -> new Owned(uuid(row, "workspace_id"), voice(row, at)))
                .list();
    }

    void save(UUID workspace, HouseVoice voice) {
        Tuning tuning = voice.tuning();
        jdbc.sql("""
                insert into house_voice (id, workspace_id, name, description, base_voice, pace_percent, pitch_semitones,
                range_percent, timbre_semitones, effect, effect_percent, changed_at)
                values (:id, :workspace, :name, :description, :base, :pace, :pitch, :range, :timbre, :effect, :mix,
                :now)
                on conflict (id) do update set name = :name, description = :description, base_voice = :base,
                pace_percent = :pace, pitch_semitones = :pitch,
                range_percent = :range, timbre_semitones = :timbre, effect = :effect, effect_percent = :mix, changed_at
                = :now""")
                .param("id", voice.id())
                .param("workspace", workspace)
                .param("name", voice.name())
                .param("description", voice.description())
                .param("base", voice.base())
                .param("pace", tuning.pacePercent())
                .param("pitch", tuning.semitones())
                .param("range", tuning.rangePercent())
                .param("timbre", tuning.timbreSemitones())
                .param(
                        "effect",
                        tuning.effect() == null ? null : tuning.effect().id())
                .param("mix", tuning.effectPercent())
                .param("now", time(clock.instant()))
                .update();
    }

    void remove(String id) {
        jdbc.sql("delete from house_voice where id = :id").param("id", id).update();
    }

    /** Roles of its workspace's projects on the shelf that it speaks, as "Keeper of The Lantern Room". */
    List<String> speaks(String id) {
        return jdbc.sql("""
                select r.name || ' of ' || p.name from role r join project p on p.id = r.project_id
                join house_voice v on v.id = r.voice_id and v.workspace_id = p.workspace_id
                where p.deleted_at is null and r.voice_id = :id order by p.name,
                r.position""").param("id", id).query(String.class).list();
    }

    private static HouseVoice voice(ResultSet row, int at) throws SQLException {
        return new HouseVoice(
                row.getString("id"),
                row.getString("name"),
                row.getString("description"),
                row.getString("base_voice"),
                new Tuning(
                        row.getInt("pace_percent"),
                        row.getDouble("pitch_semitones"),
                        row.getInt("range_percent"),
                        row.getDouble("timbre_semitones"),
                        Effect.named(row.getString("effect")),
                        row.getInt("effect_percent")));
    }
}
