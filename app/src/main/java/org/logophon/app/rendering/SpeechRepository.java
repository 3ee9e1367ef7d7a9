package org.logophon.app.rendering;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Optional;
import org.logophon.core.render.Measurement;
import org.logophon.core.render.Recipe;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code speech}: what was rendered, once for each recipe. */
@Repository
public class SpeechRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    SpeechRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    public Optional<StoredSpeech> find(String recipe) {
        return jdbc.sql("select * from speech where recipe = :recipe")
                .param("recipe", recipe)
                .query(SpeechRepository::speech)
                .optional();
    }

    boolean exists(String recipe) {
        return jdbc.sql("select count(*) from speech where recipe = :recipe")
                        .param("recipe", recipe)
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /** Does nothing when another job saved the same recipe first: it is the same sound. */
    public void save(Recipe recipe, StoredSpeech speech) {
        jdbc.sql("""
                insert into speech (recipe, voice_id, sample_rate, pcm, words, peaks, pitch, seconds, syllables, reference_seconds, lufs,
                                    pace_reached, semitones_reached, marks_reached, created_at)
                values (:recipe, :voice, :rate, :pcm, :words, :peaks, :pitch, :seconds, :syllables, :reference, :lufs, :pace, :semitones, :marks, :now)
                on conflict (recipe) do nothing""")
                .param("recipe", recipe.hash())
                .param("voice", recipe.voice().baseId())
                .param("rate", speech.rate())
                .param("pcm", speech.pcm())
                .param("words", speech.words())
                .param("peaks", speech.peaks())
                .param("pitch", speech.pitch())
                .param("seconds", speech.seconds())
                .param("syllables", speech.syllables())
                .param("reference", speech.referenceSeconds())
                .param("lufs", speech.lufs())
                .param("pace", speech.measurement().pacePercent())
                .param("semitones", speech.measurement().semitones())
                .param("marks", speech.measurement().marks().toArray(Double[]::new))
                .param("now", clock.instant().atOffset(ZoneOffset.UTC))
                .update();
    }

    private static StoredSpeech speech(ResultSet row, int at) throws SQLException {
        Measurement reached = new Measurement(
                row.getDouble("pace_reached"),
                row.getObject("semitones_reached", Double.class),
                Arrays.asList((Double[]) array(row, "marks_reached")));
        return new StoredSpeech(
                row.getInt("sample_rate"),
                row.getBytes("pcm"),
                (Integer[]) array(row, "words"),
                row.getBytes("peaks"),
                (Float[]) array(row, "pitch"),
                row.getDouble("seconds"),
                row.getInt("syllables"),
                row.getDouble("reference_seconds"),
                row.getDouble("lufs"),
                reached);
    }

    private static Object array(ResultSet row, String column) throws SQLException {
        Array array = row.getArray(column);
        return array.getArray();
    }
}
