package org.logophon.app.services.hired;

import static org.logophon.app.platform.table.Columns.time;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.audio.SoundColumns;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.PhonemeStart;
import org.logophon.core.voice.render.Utterance.WordStart;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code paid_speech}: the answers of the service, by request. */
@Repository
class PaidSpeech {

    private final JdbcClient jdbc;
    private final AudioStore audio;
    private final Clock clock;

    PaidSpeech(JdbcClient jdbc, AudioStore audio, Clock clock) {
        this.jdbc = jdbc;
        this.audio = audio;
        this.clock = clock;
    }

    Optional<Utterance> find(String key) {
        return jdbc.sql("select p.*, s.sample_rate, s.samples, s.bits from paid_speech p join sound s on "
                        + "s.id = p.sound_id where key = :key")
                .param("key", key)
                .query(this::utterance)
                .optional();
    }

    /** Those of the keys whose speech is here. */
    Set<String> among(Collection<String> keys) {
        return keys.isEmpty()
                ? Set.of()
                : new HashSet<>(jdbc.sql("select key from paid_speech where key = any(:keys)")
                        .param("keys", keys.toArray(String[]::new))
                        .query(String.class)
                        .list());
    }

    /** Does nothing when the same was saved before: it is the same sound. */
    void save(String key, Voice voice, Utterance answer) {
        List<Integer> words = new ArrayList<>();
        answer.words().forEach(word -> words.addAll(List.of(word.codePoint(), word.sample())));
        List<Integer> phonemes = new ArrayList<>();
        answer.phonemes().forEach(phoneme -> phonemes.addAll(List.of(phoneme.sample(), phoneme.silent() ? 1 : 0)));
        jdbc.sql("insert into paid_speech (key, voice_id, sound_id, words, phonemes, at) values "
                        + "(:key, :voice, :sound, :words, :phonemes, :now) on conflict do nothing")
                .param("key", key)
                .param("voice", voice.id())
                .param("sound", audio.store(answer.sound()).id())
                .param("words", words.toArray(Integer[]::new))
                .param("phonemes", phonemes.toArray(Integer[]::new))
                .param("now", time(clock.instant()))
                .update();
    }

    private Utterance utterance(ResultSet row, int at) throws SQLException {
        Integer[] placed = (Integer[]) row.getArray("words").getArray();
        Integer[] parts = (Integer[]) row.getArray("phonemes").getArray();
        List<WordStart> words = new ArrayList<>();
        for (int i = 0; i < placed.length; i += 2) {
            words.add(new WordStart(placed[i], placed[i + 1]));
        }
        List<PhonemeStart> phonemes = new ArrayList<>();
        for (int i = 0; i < parts.length; i += 2) {
            phonemes.add(new PhonemeStart(parts[i], parts[i + 1] == 1));
        }
        StoredSound sound = SoundColumns.read(row);
        return new Utterance(audio.source(sound).inMemory(), words, phonemes);
    }
}
