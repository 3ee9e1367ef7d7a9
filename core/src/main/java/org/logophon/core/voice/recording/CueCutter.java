package org.logophon.core.voice.recording;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.logophon.core.signal.sound.ConvertedSource;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.text.reading.SaidByRule;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.align.LongCut;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;

/** Cuts a long recording into the cues that are said in it. */
public final class CueCutter {

    /** More tells nothing more of which sound it is. */
    private static final int RATE = 16_000;

    private final SpeechEngine telling;
    private final Function<String, Optional<Voice>> quick;
    private final Resampler resampler;

    /** @param quick of a language: a voice that says hours of text in seconds; empty where nobody speaks it */
    public CueCutter(SpeechEngine telling, Function<String, Optional<Voice>> quick, Resampler resampler) {
        this.telling = telling;
        this.quick = quick;
        this.resampler = resampler;
    }

    /**
     * @param texts    of the cues, in order
     * @param language BCP 47
     * @return as {@link LongCut}; nothing where no voice speaks the language
     */
    public List<LongCut.Said> cut(SoundSource recording, List<String> texts, String language) {
        Voice voice = quick.apply(language).orElse(null);
        if (voice == null) {
            return List.of();
        }
        List<Sound> said = texts.parallelStream().map(text -> say(voice, text)).collect(Collectors.toList());
        return LongCut.of(ConvertedSource.of(recording, RATE, resampler), said);
    }

    private Sound say(Voice voice, String text) {
        try {
            return telling.speak(new SpeechRequest(
                            voice, SpokenText.of(text, SaidByRule.of(text, voice.language()), voice.language()), 1, 0))
                    .sound();
        } catch (SpeechFailed mute) {
            // a cue that nobody can say isn't looked for
            return null;
        }
    }
}
