package org.logophon.speech;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpokenSounds;
import org.logophon.speech.worker.Frames;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** The sounds of words by espeak-ng's rules of their language. Words that were asked for are remembered. */
public final class LanguageSounds implements SpokenSounds {

    private static final Logger LOG = LoggerFactory.getLogger(LanguageSounds.class);
    private static final long DEADLINE_MILLIS = 15_000;
    private static final int MOST_KEPT = 5_000;

    private final WorkerPool pool;
    private final Map<String, String> known = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, String> eldest) {
            return size() > MOST_KEPT;
        }
    };

    public LanguageSounds(WorkerPool pool) {
        this.pool = pool;
    }

    @Override
    public Optional<String> of(String words, String tag) {
        String key = tag + "\n" + words;
        synchronized (known) {
            String before = known.get(key);
            if (before != null) {
                return Optional.of(before).filter(ipa -> !ipa.isEmpty());
            }
        }
        Optional<String> voice = engineVoice(tag);
        if (voice.isEmpty()) {
            return Optional.empty();
        }
        try {
            String ipa = pool.ask(
                            out -> {
                                out.writeByte(Frames.SOUNDS);
                                Frames.writeText(out, voice.get());
                                Frames.writeText(out, words);
                            },
                            Frames::readText,
                            DEADLINE_MILLIS)
                    // a word of another language is said in brackets: which one is no sound
                    .replaceAll("\\([a-z-]+\\)", "");
            synchronized (known) {
                known.put(key, ipa);
            }
            return Optional.of(ipa).filter(sounds -> !sounds.isEmpty());
        } catch (SpeechFailed away) {
            LOG.warn("What words of {} sound like can't be told: {}", tag, away.getMessage());
            return Optional.empty();
        }
    }

    /** The closest to the tag, region and all. */
    private static Optional<String> engineVoice(String tag) {
        String language = tag.split("-")[0];
        return EspeakVoices.all().stream()
                .filter(voice -> voice.language().split("-")[0].equalsIgnoreCase(language))
                .min((a, b) -> Boolean.compare(
                        !a.language().equalsIgnoreCase(tag), !b.language().equalsIgnoreCase(tag)))
                .map(Voice::engineVoice);
    }
}
