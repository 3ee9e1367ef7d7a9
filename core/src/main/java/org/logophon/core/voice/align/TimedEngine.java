package org.logophon.core.voice.align;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.PhonemeStart;

/**
 * An engine that adds word times to one that gives none: voices that tell theirs say the same words, and the times are
 * carried over. Where no such voice speaks the language, or can't say the text, there are none, as before.
 */
public final class TimedEngine implements SpeechEngine {

    private final SpeechEngine engine;
    private final SpeechEngine telling;
    private final Function<Voice, List<Voice>> references;

    /**
     * @param telling    speaks the references
     * @param references of a voice: others of its language that tell word times, some unlike one another
     */
    public TimedEngine(SpeechEngine engine, SpeechEngine telling, Function<Voice, List<Voice>> references) {
        this.engine = engine;
        this.telling = telling;
        this.references = references;
    }

    @Override
    public String version(Voice voice) {
        return engine.version(voice);
    }

    @Override
    public double paceToAsk(Voice voice, double paceFactor) {
        return engine.paceToAsk(voice, paceFactor);
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        Utterance said = engine.speak(request);
        SpeechSpan span = SpeechSpan.of(said.sound());
        if (!said.words().isEmpty() || span.from() == span.to()) {
            return said;
        }
        List<Utterance> told =
                References.of(telling, references.apply(request.voice()), request.text(), request.paceFactor());
        return told.isEmpty()
                ? said
                : new Utterance(said.sound(), WordAligner.starts(told, said.sound()), pauses(said.sound()));
    }

    /** A word ends at the pause after it. */
    private static List<PhonemeStart> pauses(Sound sound) {
        List<PhonemeStart> pauses = new ArrayList<>();
        for (SpeechSpan pause : SpeechSpan.pauses(sound)) {
            pauses.add(new PhonemeStart(pause.from(), true));
            pauses.add(new PhonemeStart(pause.to(), false));
        }
        pauses.add(new PhonemeStart(SpeechSpan.of(sound).to(), true));
        return pauses;
    }
}
