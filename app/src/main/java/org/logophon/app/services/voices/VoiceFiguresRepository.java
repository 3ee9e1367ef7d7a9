package org.logophon.app.services.voices;

import static org.logophon.app.platform.table.Columns.number;
import static org.logophon.app.platform.table.Columns.time;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.VoiceFigures;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code voice_figures}: what was measured on each version of a voice. */
@Repository
public class VoiceFiguresRepository {

    private final JdbcClient jdbc;
    private final Clock clock;
    private volatile Known known;

    VoiceFiguresRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What was read last, with how many there were and when the last of them was measured. */
    private record Known(String stamp, Map<String, VoiceFigures> figures) {}

    /** The newest figures of each voice, by its id. They are read again when there are more. */
    public Map<String, VoiceFigures> all() {
        String stamp = jdbc.sql("select count(*) || ' ' || coalesce(max(measured_at)::text, '') from voice_figures")
                .query(String.class)
                .single();
        Known now = known;
        if (now == null || !now.stamp().equals(stamp)) {
            now = new Known(stamp, read());
            known = now;
        }
        return now.figures();
    }

    private Map<String, VoiceFigures> read() {
        Map<String, VoiceFigures> all = new HashMap<>();
        jdbc.sql("select * from voice_figures order by measured_at")
                .query((row, at) -> all.put(row.getString("voice_id"), figures(row)))
                .list();
        return Map.copyOf(all);
    }

    /** Takes a voice for the caller's transaction. @return false while another has it */
    boolean mine(Voice voice) {
        return jdbc.sql("select pg_try_advisory_xact_lock(hashtext('voice figures'), hashtext(:voice))")
                .param("voice", voice.id())
                .query(Boolean.class)
                .single();
    }

    boolean has(Voice voice, String version) {
        return jdbc.sql("select count(*) from voice_figures where voice_id = :voice and version = :version")
                        .param("voice", voice.id())
                        .param("version", version)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Voices that made no sound of the passage in the newest version that was tried, by their ids. */
    public Set<String> soundless() {
        return new HashSet<>(jdbc.sql("""
                select s.voice_id from soundless_voice s
                where not exists (select 1 from voice_figures f where f.voice_id = s.voice_id
                and f.measured_at > s.found_at)""").query(String.class).list());
    }

    /** True for a version that made no sound lately: whether it does now isn't asked again and again. */
    boolean soundlessSince(Voice voice, String version, Instant since) {
        return jdbc.sql("select count(*) from soundless_voice where voice_id = :voice and version "
                                + "= :version and found_at > :since")
                        .param("voice", voice.id())
                        .param("version", version)
                        .param("since", time(since))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    void saveSoundless(Voice voice, String version) {
        jdbc.sql("""
                insert into soundless_voice (voice_id, version, found_at) values (:voice, :version, :now)
                on conflict (voice_id, version) do update set found_at = excluded.found_at""")
                .param("voice", voice.id())
                .param("version", version)
                .param("now", time(clock.instant()))
                .update();
    }

    /** Does nothing when another node measured it first. */
    void save(Voice voice, String version, VoiceFigures figures) {
        jdbc.sql("""
                insert into voice_figures (voice_id, version, median_pitch_hz, pitch_range_semitones, words_per_minute,
                syllables_per_minute, brightness_hz, measured_at)
                values (:voice, :version, :pitch, :range, :words, :syllables, :brightness, :now)
                on conflict do nothing""")
                .param("voice", voice.id())
                .param("version", version)
                .param("pitch", figures.medianPitchHz())
                .param("range", figures.pitchRangeSemitones())
                .param("words", figures.wordsPerMinute())
                .param("syllables", figures.syllablesPerMinute())
                .param("brightness", figures.brightnessHz())
                .param("now", time(clock.instant()))
                .update();
    }

    private static VoiceFigures figures(ResultSet row) throws SQLException {
        return new VoiceFigures(
                number(row, "median_pitch_hz"),
                number(row, "pitch_range_semitones"),
                number(row, "words_per_minute"),
                number(row, "syllables_per_minute"),
                row.getDouble("brightness_hz"));
    }
}
