package org.logophon.core.align;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.logophon.core.render.SpeechEngine;
import org.logophon.core.render.SpeechFailed;
import org.logophon.core.render.SpeechRequest;
import org.logophon.core.render.Utterance;
import org.logophon.core.render.Utterance.PhonemeStart;
import org.logophon.core.render.Utterance.WordStart;
import org.logophon.core.sound.Sound;
import org.logophon.core.sound.SpeechSpan;
import org.logophon.core.voice.Voice;

/**
 * Gives word times to what an engine says without any: voices that tell theirs say the same words, and the times are
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
        List<Utterance> told = new ArrayList<>();
        for (Voice voice : references.apply(request.voice())) {
            try {
                Utterance reference = telling.speak(new SpeechRequest(voice, request.text(), request.paceFactor(), 0));
                if (!reference.words().isEmpty()) {
                    told.add(atLetters(reference, request.text().text()));
                }
            } catch (SpeechFailed mute) {
                // the others may do; without any of them the words share the time by their lengths
                continue;
            }
        }
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

    /** Engines begin a word at its quotation mark or at its first letter: with one place a word their times meet. */
    private static Utterance atLetters(Utterance reference, String text) {
        int[] codePoints = text.codePoints().toArray();
        List<WordStart> words = new ArrayList<>();
        for (WordStart word : reference.words()) {
            // an engine may end with an event that is no word's
            if (word.codePoint() >= 0) {
                int at = word.codePoint();
                while (at < codePoints.length - 1 && !Character.isLetterOrDigit(codePoints[at])) {
                    at++;
                }
                words.add(new WordStart(at, word.sample()));
            }
        }
        return new Utterance(reference.sound(), words, reference.phonemes());
    }
}
