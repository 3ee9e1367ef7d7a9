package org.logophon.speech.worker;

import com.sun.jna.Memory;
import com.sun.jna.Pointer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Flite in this process. */
final class Flite {

    private final Memory stretchName = cString("duration_stretch");
    private final FliteLibrary library = FliteLibrary.load();
    private final CLibrary noise = CLibrary.load();
    private final Map<String, FliteLibrary.Registered> voices = new HashMap<>();

    Flite() {
        library.flite_init();
    }

    private static Memory cString(String text) {
        Memory memory = new Memory(text.length() + 1L);
        memory.setString(0, text);
        return memory;
    }

    /**
     * Speaks a text.
     *
     * @param text    ASCII
     * @param stretch 1 for the voice's own pace, 2 for twice as long
     * @return words as the place of their token in the text and their first sample in turn, pauses as phonemes
     */
    Espeak.Spoken speak(String voiceName, String text, float stretch, int limitSamples) {
        Pointer voice =
                voices.computeIfAbsent(voiceName, FliteLibrary.Registered::of).voice();
        library.feat_set_float(voice.getPointer(FliteLibrary.VOICE_FEATURES), stretchName, stretch);
        // its excitation is noise of the C library's generator: seeded, the same request gives the same samples
        noise.srand(1);
        Pointer utterance = library.flite_synth_text(text, voice);
        if (utterance == null) {
            throw new IllegalArgumentException(
                    "The voice can't speak this text. Change its wording, or cast another voice.");
        }
        try {
            Pointer wave = library.utt_wave(utterance);
            int length = wave.getInt(FliteLibrary.WAVE_LENGTH);
            if (length > limitSamples) {
                throw new IllegalArgumentException("This text makes more sound than one cue can hold. Split the cue.");
            }
            int rate = wave.getInt(FliteLibrary.WAVE_RATE);
            List<String> names = new ArrayList<>();
            return new Espeak.Spoken(
                    rate,
                    wave.getPointer(FliteLibrary.WAVE_SAMPLES).getShortArray(0, length),
                    words(utterance, text, rate),
                    segments(utterance, rate, names),
                    names);
        } finally {
            library.delete_utterance(utterance);
        }
    }

    /** A written token may be several spoken words; tokens come in the order of the text. */
    private int[] words(Pointer utterance, String text, int rate) {
        int[] words = new int[256];
        int count = 0;
        int from = 0;
        int place = 0;
        Pointer token = null;
        for (Pointer word = first(utterance, "Word"); word != null; word = library.item_next(word)) {
            Pointer of = library.path_to_item(word, "R:Token.parent");
            if (of != null && !of.equals(token)) {
                token = of;
                String name = library.ffeature_string(word, "R:Token.parent.name");
                int found = text.indexOf(name, from);
                place = found >= 0 ? found : from;
                from = found >= 0 ? found + name.length() : from;
            }
            if (count == words.length) {
                words = Arrays.copyOf(words, 2 * count);
            }
            words[count++] = place;
            words[count++] = Math.round(
                    library.ffeature_float(word, "R:SylStructure.daughter1.daughter1.R:Segment.p.end") * rate);
        }
        return Arrays.copyOf(words, count);
    }

    private int[] segments(Pointer utterance, int rate, List<String> names) {
        int[] phonemes = new int[1024];
        int count = 0;
        float start = 0;
        for (Pointer segment = first(utterance, "Segment"); segment != null; segment = library.item_next(segment)) {
            if (count == phonemes.length) {
                phonemes = Arrays.copyOf(phonemes, 2 * count);
            }
            phonemes[count++] = Math.round(start * rate);
            String name = library.ffeature_string(segment, "name");
            names.add(name);
            phonemes[count++] = "pau".equals(name) ? 1 : 0;
            start = library.ffeature_float(segment, "end");
        }
        return Arrays.copyOf(phonemes, count);
    }

    private Pointer first(Pointer utterance, String relation) {
        return library.utt_relation(utterance, relation).getPointer(FliteLibrary.RELATION_HEAD);
    }
}
