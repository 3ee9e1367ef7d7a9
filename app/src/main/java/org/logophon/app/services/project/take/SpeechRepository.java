package org.logophon.app.services.project.take;

import static org.logophon.app.platform.table.Columns.number;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.audio.SoundColumns;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.phrasing.PhrasedTime;
import org.logophon.core.signal.loudness.LoudnessMeter;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.sound.Peaks;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.text.estimate.Estimate;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.text.estimate.Syllables;
import org.logophon.core.text.estimate.TextTime;
import org.logophon.core.voice.render.Measurement;
import org.logophon.core.voice.render.Phone;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.WordTime;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code speech}: what was measured on spoken sounds; of each recipe once. */
@Repository
public class SpeechRepository {

    private static final String SELECT =
            "select s.*, w.sample_rate, w.samples, w.bits from speech s join sound w on w.id = s.sound_id ";

    private final JdbcClient jdbc;
    private final AudioStore audio;
    private final Clock clock;

    SpeechRepository(JdbcClient jdbc, AudioStore audio, Clock clock) {
        this.jdbc = jdbc;
        this.audio = audio;
        this.clock = clock;
    }

    /** What was rendered of a recipe. */
    public Optional<StoredSpeech> ofRecipe(String hash) {
        return jdbc.sql(SELECT + "where s.recipe = :recipe")
                .param("recipe", hash)
                .query(SpeechRepository::speech)
                .optional();
    }

    public Optional<StoredSpeech> find(UUID id) {
        return jdbc.sql(SELECT + "where s.id = :id")
                .param("id", id)
                .query(SpeechRepository::speech)
                .optional();
    }

    /**
     * The times of a speech's words and phones.
     *
     * @param words  in samples at {@code rate}; none while nothing has timed them
     * @param phones single sounds; none where they aren't known
     */
    public record Timed(List<WordTime> words, int rate, List<Phone> phones) {

        public static final Timed NONE = new Timed(List.of(), 1, List.of());
    }

    /** By the speech's id. @param single true with its single sounds, which are many */
    public Map<UUID, Timed> timed(List<UUID> speeches, boolean single) {
        Map<UUID, Timed> timed = new HashMap<>();
        if (!speeches.isEmpty()) {
            jdbc.sql("select s.id, s.words, case when :single then s.phones end as phones, "
                            + "w.sample_rate from speech s join sound w on w.id = s.sound_id where s.id in "
                            + "(:speeches)")
                    .param("speeches", speeches)
                    .param("single", single)
                    .query(row -> {
                        Integer[] words = (Integer[]) array(row, "words");
                        String phones = row.getString("phones");
                        timed.put(
                                uuid(row, "id"),
                                new Timed(
                                        words == null ? List.of() : words(words),
                                        row.getInt("sample_rate"),
                                        phones == null ? List.of() : Phone.read(phones)));
                    });
        }
        return timed;
    }

    /** Takes note that somebody heard it without making it a take: it stays for a while. */
    public void heard(UUID id) {
        jdbc.sql("update speech set heard_at = :now where id = :id")
                .param("now", now())
                .param("id", id)
                .update();
    }

    /**
     * Takes speeches away that no take uses any more.
     *
     * @return sounds that they were of
     */
    public List<UUID> remove(List<UUID> speeches) {
        return speeches.isEmpty()
                ? List.of()
                : jdbc.sql("""
                delete from speech s where s.id in (:speeches) and not exists (select 1 from take t
                where t.speech_id = s.id)
                returning sound_id""").param("speeches", speeches).query(UUID.class).list();
    }

    /**
     * Stores what a recipe made. Another that saved the same recipe first made the same sound, and its speech stays.
     */
    public StoredSpeech save(Recipe recipe, Speech rendered) {
        // loud marks may reach over what 16 bits hold: all of it is brought down, and finishing sets the loudness
        Speech speech = rendered.kept();
        String said = recipe.saidText();
        String language = recipe.voice().language();
        // what several voices say measures the rate of none, and so does what is phrased by half
        boolean measures = recipe.parted().isEmpty()
                && (recipe.phrasingPercent() == 0 || recipe.phrasingPercent() == Dial.PHRASING.neutral());
        double seconds = measures ? ReferenceTime.seconds(said, language) : 0;
        TextTime phrased = recipe.phrasingPercent() == 0 ? null : PhrasedTime.of(recipe.text(), language, seconds);
        double reference = phrased == null || seconds == 0 ? seconds : phrased.words();
        Double rests = phrased == null ? null : phrased.rests() * Estimate.restFactor(recipe.directedPace());
        insert(
                recipe.hash(),
                recipe.voice().baseId(),
                audio.store(speech.sound()),
                speech.sound(),
                speech.words(),
                Syllables.of(said, language),
                reference,
                rests,
                speech.measurement(),
                speech.phones());
        return ofRecipe(recipe.hash()).orElseThrow();
    }

    /**
     * Stores what a person said, in 24 bits.
     *
     * @param words null while nothing has timed them
     */
    public StoredSpeech save(Sound recording, List<WordTime> words, List<Phone> phones) {
        return find(insert(null, null, audio.store(recording, 24), recording, words, 0, 0, null, null, phones))
                .orElseThrow();
    }

    private UUID insert(
            String recipe,
            String voice,
            StoredSound stored,
            Sound sound,
            List<WordTime> words,
            int syllables,
            double reference,
            Double rests,
            Measurement measured,
            List<Phone> phones) {
        UUID id = UUID.randomUUID();
        jdbc.sql("""
                insert into speech (id, recipe, voice_id, sound_id, words, peaks, pitch, syllables, reference_seconds,
                rest_seconds, lufs,
                                    pace_reached, semitones_reached, marks_reached, phones, created_at)
                values (:id, :recipe, :voice, :sound, :words, :peaks, :pitch, :syllables, :reference, :rests, :lufs, :pace,
                :semitones, :marks, :phones, :now)
                on conflict (recipe) do nothing""")
                .param("id", id)
                .param("recipe", recipe)
                .param("voice", voice)
                .param("sound", stored.id())
                .param("words", words == null ? null : fields(words))
                .param("peaks", Peaks.of(sound))
                .param("pitch", boxed(PitchMeter.track(sound).hertz()))
                .param("syllables", syllables)
                .param("reference", reference)
                .param("rests", rests)
                .param("lufs", LoudnessMeter.of(sound).lufs())
                .param("phones", phones.isEmpty() ? null : Phone.written(phones))
                .param("pace", measured == null ? null : measured.pacePercent())
                .param("semitones", measured == null ? null : measured.semitones())
                .param(
                        "marks",
                        measured == null ? new Double[0] : measured.marks().toArray(Double[]::new))
                .param("now", now())
                .update();
        return id;
    }

    /**
     * For each voice what all that it has said here measures: seconds that an average voice would take, and that it
     * took at its own pace, without the rests of its phrasing. What a file brought in has no recipe, and measures
     * nobody's voice.
     *
     * @param phrased whether what is phrased is counted, or what isn't
     */
    public Map<String, double[]> spoken(boolean phrased) {
        Map<String, double[]> spoken = new HashMap<>();
        jdbc.sql("""
                select s.voice_id, sum(s.reference_seconds) as reference, sum((w.samples::float8 / w.sample_rate -
                coalesce(s.rest_seconds, 0)) * s.pace_reached / 100) as seconds
                from speech s join sound w on w.id = s.sound_id where s.reference_seconds > 0
                and s.recipe is not null and (s.rest_seconds is not null) = :phrased
                group by s.voice_id""").param("phrased", phrased).query(row -> {
            spoken.put(row.getString("voice_id"), new double[] {row.getDouble("reference"), row.getDouble("seconds")});
        });
        return spoken;
    }

    /** Four numbers a word: its place in the text and in the samples. */
    private static Integer[] fields(List<WordTime> words) {
        return words.stream()
                .flatMap(w -> Stream.of(w.start(), w.end(), w.startSample(), w.endSample()))
                .toArray(Integer[]::new);
    }

    private static List<WordTime> words(Integer[] fields) {
        List<WordTime> words = new ArrayList<>(fields.length / 4);
        for (int i = 0; i < fields.length; i += 4) {
            words.add(new WordTime(fields[i], fields[i + 1], fields[i + 2], fields[i + 3]));
        }
        return words;
    }

    private static Float[] boxed(float[] values) {
        Float[] boxed = new Float[values.length];
        Arrays.setAll(boxed, i -> values[i]);
        return boxed;
    }

    private static StoredSpeech speech(ResultSet row, int at) throws SQLException {
        Double pace = number(row, "pace_reached");
        Float[] hertz = (Float[]) array(row, "pitch");
        float[] pitch = new float[hertz.length];
        for (int i = 0; i < pitch.length; i++) {
            pitch[i] = hertz[i];
        }
        Integer[] words = (Integer[]) array(row, "words");
        return new StoredSpeech(
                uuid(row, "id"),
                row.getString("recipe"),
                SoundColumns.read(row),
                words == null ? null : words(words),
                row.getBytes("peaks"),
                pitch,
                row.getDouble("lufs"),
                pace == null
                        ? null
                        : new Measurement(pace, number(row, "semitones_reached"), Arrays.asList((Double[])
                                array(row, "marks_reached"))));
    }

    private static Object array(ResultSet row, String column) throws SQLException {
        Array array = row.getArray(column);
        return array == null ? null : array.getArray();
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }
}
