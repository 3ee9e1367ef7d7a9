package org.logophon.speech;

import java.io.DataInputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntUnaryOperator;
import java.util.function.UnaryOperator;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.render.Utterance;
import org.logophon.core.voice.render.Utterance.PhonemeStart;
import org.logophon.core.voice.render.Utterance.WordStart;
import org.logophon.speech.worker.Frames;

/** The reader of a worker's speech. */
final class SpokenFrames {

    private SpokenFrames() {}

    /**
     * @param place from a place of the text that the engine was given to one of the spoken text
     * @param ipa   from a phoneme's name as the engine writes it
     */
    static Utterance read(DataInputStream in, IntUnaryOperator place, UnaryOperator<String> ipa) throws IOException {
        int rate = in.readInt();
        Sound sound = Sound.ofPcm16(Frames.readShorts(in, 2 * Frames.MOST_SAMPLES), rate);
        int last = sound.samples().length;
        int[] words = Frames.readInts(in, Frames.MOST_FIELDS);
        int[] phonemes = Frames.readInts(in, Frames.MOST_FIELDS);
        String[] names = Frames.readText(in).split(" ", -1);
        List<WordStart> wordStarts = new ArrayList<>(words.length / 2);
        for (int i = 0; i < words.length; i += 2) {
            wordStarts.add(new WordStart(place.applyAsInt(words[i]), within(words[i + 1], last)));
        }
        List<PhonemeStart> phonemeStarts = new ArrayList<>(phonemes.length / 2);
        for (int i = 0; i < phonemes.length; i += 2) {
            boolean silent = phonemes[i + 1] == 1;
            String name = silent || i / 2 >= names.length ? "" : ipa.apply(names[i / 2]);
            phonemeStarts.add(new PhonemeStart(within(phonemes[i], last), silent, name));
        }
        return new Utterance(sound, wordStarts, phonemeStarts);
    }

    private static int within(int sample, int last) {
        return Math.max(0, Math.min(last, sample));
    }
}
