package org.logophon.speech.worker;

import com.sun.jna.Memory;
import com.sun.jna.Pointer;
import com.sun.jna.ptr.PointerByReference;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** espeak-ng in this process. */
final class Espeak {

    /** Layout of espeak_EVENT on 64-bit machines. */
    private static final int EVENT_SIZE = 40;

    private static final int TEXT_POSITION = 8;
    private static final int SAMPLE = 20;
    private static final int PHONEME_NAME = 32;
    private static final int PHONEME_NAME_BYTES = 8;
    private static final int BUFFER_MILLIS = 200;
    private static final String PLAIN_WORD = "la ";
    /** The engine cuts a longer clause. */
    private static final int MOST_CLAUSE_WORDS = 250;
    /** A written word can be several spoken ones. */
    private static final int SPARE_WORDS = 20;

    private final EspeakLibrary library = EspeakLibrary.load();
    private final CLibrary noise = CLibrary.load();
    private final String home;
    private final int rate;
    // held in a field: the native side keeps a bare pointer, and a collected callback would be a crash
    private final EspeakLibrary.SynthCallback callback = this::receive;
    private short[] samples = new short[1 << 18];
    private int count;
    private int mostSamples;
    private int[] words = new int[256];
    private int wordFields;
    private int[] phonemes = new int[1024];
    private int phonemeFields;
    private final List<String> names = new ArrayList<>();

    Espeak(String home) {
        this.home = home;
        rate = initialise();
        if (rate <= 0) {
            throw new IllegalStateException(
                    "espeak-ng is installed without its data. Install the package espeak-ng-data.");
        }
    }

    /** @return samples a second, 0 or less when the engine can't start */
    private int initialise() {
        int samplesPerSecond = home.isEmpty()
                ? 0
                : library.espeak_Initialize(
                        EspeakLibrary.OUTPUT_SYNCHRONOUS,
                        BUFFER_MILLIS,
                        home,
                        EspeakLibrary.PHONEME_EVENTS | EspeakLibrary.PHONEMES_IN_IPA | EspeakLibrary.DONT_EXIT);
        library.espeak_SetSynthCallback(callback);
        return samplesPerSecond;
    }

    String version() {
        return "espeak-ng " + library.espeak_Info(null).split(" ")[0];
    }

    /**
     * Speaks a text.
     *
     * @param wordsPerMinute 80–450
     * @param pitch          0–99, 50 the voice's own
     * @return samples, words (place and sample in turn) and phonemes (sample and 1 for silence in turn), with their
     *         names in IPA
     */
    Spoken speak(String voiceName, String text, int wordsPerMinute, int pitch, int limitSamples) {
        begin(voiceName);
        // the word table keeps what longer clauses before have left in it: one of plain words wipes it, and is stopped
        // unheard
        int spaces = (int) text.chars().filter(c -> c == ' ').count();
        synthesise(PLAIN_WORD.repeat(Math.min(MOST_CLAUSE_WORDS, spaces + SPARE_WORDS)), 0);
        begin(voiceName);
        library.espeak_SetParameter(EspeakLibrary.PARAMETER_RATE, wordsPerMinute, 0);
        library.espeak_SetParameter(EspeakLibrary.PARAMETER_PITCH, pitch, 0);
        int result = synthesise(text, limitSamples);
        if (count > mostSamples) {
            throw new IllegalArgumentException(
                    "This text runs longer than " + limitSamples / rate / 60 + " minutes. Split the cue.");
        }
        if (result != 0) {
            throw new IllegalArgumentException("The engine refused this text.");
        }
        return new Spoken(
                rate,
                Arrays.copyOf(samples, count),
                Arrays.copyOf(words, wordFields),
                Arrays.copyOf(phonemes, phonemeFields),
                List.copyOf(names));
    }

    /** What a text sounds like by a voice's language, in IPA. */
    String sounds(String voiceName, String text) {
        begin(voiceName);
        byte[] bytes = (text + '\0').getBytes(StandardCharsets.UTF_8);
        try (Memory memory = new Memory(bytes.length)) {
            memory.write(0, bytes, 0, bytes.length);
            PointerByReference place = new PointerByReference(memory);
            StringBuilder sounds = new StringBuilder();
            while (place.getValue() != null) {
                sounds.append(library.espeak_TextToPhonemes(
                                place, EspeakLibrary.CHARS_UTF8, EspeakLibrary.PHONEMES_IN_IPA))
                        .append(' ');
            }
            return sounds.toString().strip();
        }
    }

    /** Starts the engine anew, with the phase of its wave at zero, and chooses a voice. */
    private void begin(String voiceName) {
        initialise();
        if (library.espeak_SetVoiceByName(voiceName) != 0) {
            throw new IllegalArgumentException(
                    "This engine has no such voice. Install the package espeak-ng-data, or cast another.");
        }
    }

    private int synthesise(String text, int limitSamples) {
        count = 0;
        wordFields = 0;
        phonemeFields = 0;
        names.clear();
        mostSamples = limitSamples;
        // breath noise comes from the C library's generator: seeded, the same request gives the same samples
        noise.srand(1);
        byte[] bytes = (text + '\0').getBytes(StandardCharsets.UTF_8);
        return library.espeak_Synth(
                bytes, bytes.length, 0, 1, 0, EspeakLibrary.CHARS_UTF8 | EspeakLibrary.MNEMONICS, null, null);
    }

    /** What {@link #speak} gives. @param names of the phonemes, in the engine's own letters */
    record Spoken(int rate, short[] samples, int[] words, int[] phonemes, List<String> names) {}

    /** Eight bytes at most, not always ended, and cut off inside of a letter where the name is longer. */
    private static String name(Pointer events, long at) {
        byte[] bytes = events.getByteArray(at, PHONEME_NAME_BYTES);
        int length = 0;
        while (length < bytes.length && bytes[length] != 0) {
            length++;
        }
        return new String(bytes, 0, length, StandardCharsets.UTF_8).replaceAll("[\\s\uFFFD]", "");
    }

    private int receive(Pointer wav, int length, Pointer events) {
        if (wav != null && length > 0) {
            if (count + length > samples.length) {
                samples = Arrays.copyOf(samples, Math.max(2 * samples.length, count + length));
            }
            wav.read(0, samples, count, length);
            count += length;
        }
        for (long at = 0; events.getInt(at) != EspeakLibrary.EVENT_END; at += EVENT_SIZE) {
            int type = events.getInt(at);
            if (type == EspeakLibrary.EVENT_WORD) {
                words = grown(words, wordFields);
                words[wordFields++] = events.getInt(at + TEXT_POSITION) - 1;
                words[wordFields++] = events.getInt(at + SAMPLE);
            } else if (type == EspeakLibrary.EVENT_PHONEME) {
                phonemes = grown(phonemes, phonemeFields);
                phonemes[phonemeFields++] = events.getInt(at + SAMPLE);
                String name = name(events, at + PHONEME_NAME);
                phonemes[phonemeFields++] = name.isEmpty() ? 1 : 0;
                names.add(name);
            }
        }
        return count > mostSamples ? 1 : 0;
    }

    private static int[] grown(int[] fields, int used) {
        return used + 2 > fields.length ? Arrays.copyOf(fields, 2 * fields.length) : fields;
    }
}
