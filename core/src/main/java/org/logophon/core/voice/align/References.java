package org.logophon.core.voice.align;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.WordStart;
import org.logophon.core.voice.render.WordTimes;

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
                    told.add(wordByWord(reference, text.text(), voice.language()));
                }
            } catch (SpeechFailed mute) {
                // the others may do; without any of them the words share the time by their lengths
                continue;
            }
        }
        return told;
    }

    /**
     * One start for each written word: engines begin a word at its quotation mark or at its first letter, say two in
     * one breath, and end with an event that is no word's.
     */
    private static Utterance wordByWord(Utterance reference, String text, String language) {
        List<WordStart> words = WordTimes.of(text, language, SpokenText.of(text), reference).stream()
                .map(word -> new WordStart(text.codePointCount(0, word.start()), word.startSample()))
                .toList();
        return new Utterance(reference.sound(), words, reference.phonemes());
    }
}
