package org.logophon.core.align;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.render.SpeechEngine;
import org.logophon.core.render.SpeechFailed;
import org.logophon.core.render.SpeechRequest;
import org.logophon.core.render.SpokenText;
import org.logophon.core.render.Utterance;
import org.logophon.core.render.Utterance.WordStart;
import org.logophon.core.voice.Voice;

/** The same words by voices that tell when they say them. */
public final class References {

    private References() {}

    /** @return one for each voice that can say the text and tells word starts; those that can't are left out */
    public static List<Utterance> of(SpeechEngine telling, List<Voice> voices, SpokenText text, double paceFactor) {
        List<Utterance> told = new ArrayList<>();
        for (Voice voice : voices) {
            try {
                Utterance reference = telling.speak(new SpeechRequest(voice, text, paceFactor, 0));
                if (!reference.words().isEmpty()) {
                    told.add(atLetters(reference, text.text()));
                }
            } catch (SpeechFailed mute) {
                // the others may do; without any of them the words share the time by their lengths
                continue;
            }
        }
        return told;
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
