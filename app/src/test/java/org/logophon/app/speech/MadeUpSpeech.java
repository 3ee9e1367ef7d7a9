package org.logophon.app.speech;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.recording.RecordingAligner;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.speech.NativeVoices;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;

/**
 * A speech engine for tests that don't judge the sound: it needs no process and no time, says the same for the same
 * request, knows where every word and every sound begins, and keeps pace and pitch as they are asked for. A letter is a
 * sound, each with two resonances of its own, so that words can be told apart; nobody would take it for a language.
 */
public final class MadeUpSpeech implements SpeechEngine {

    /** Brings it into an application under test. */
    @TestConfiguration
    @ConditionalOnProperty(name = "logophon.tests.speech", havingValue = "made up", matchIfMissing = true)
    public static class Speaking {

        @Bean
        @Primary
        SpeechEngine madeUpSpeech() {
            return new MadeUpSpeech();
        }

        /** Made-up voices say a thing alike: two are as good as many. */
        @Bean
        @Primary
        RecordingAligner madeUpHolder(SpeechEngine engine) {
            return new RecordingAligner(
                    engine,
                    language -> NativeVoices.saying(language).stream().limit(2).toList());
        }
    }

    private static final int RATE = 16_000;
    private static final double VOWEL_SECONDS = 0.1;
    private static final double CONSONANT_SECONDS = 0.06;
    private static final double DIGIT_SECONDS = 0.2;
    private static final double REST_SECONDS = 0.1;
    private static final double LOWEST_HERTZ = 75;
    private static final double HIGHEST_HERTZ = 500;
    /** How much lower a sentence ends than it begins, as a share of its pitch. */
    private static final double FALL = 0.16;

    private static final String VOWELS = "aeiouyäöüáéíóúàèâêî";
    private static final String UNVOICED = "ptkcqxsfh";
    private static final String RESTS = ",;:.!?";

    /** Words that wait to be said. */
    private static final Map<String, CountDownLatch> HELD = new ConcurrentHashMap<>();

    /** Keeps whatever has these words from being said until it is closed: a test has time to do something meanwhile. */
    public static Held hold(String words) {
        CountDownLatch held = new CountDownLatch(1);
        HELD.put(words, held);
        return () -> {
            HELD.remove(words);
            held.countDown();
        };
    }

    /** Words that wait until this is closed. */
    public interface Held extends AutoCloseable {

        @Override
        void close();
    }

    private static void waitFor(String text) {
        HELD.forEach((words, held) -> {
            if (text.contains(words)) {
                try {
                    held.await();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    throw new IllegalStateException("Interrupted before this was said: " + text, e);
                }
            }
        });
    }

    @Override
    public String version(Voice voice) {
        return voice.engine() + " of the tests";
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        waitFor(request.text().text());
        Said said = new Said(request);
        said.rest();
        boolean inWord = false;
        boolean ipa = false;
        int[] text = request.text().text().codePoints().toArray();
        for (int at = 0; at < text.length; at++) {
            int letter = Character.toLowerCase(text[at]);
            ipa = text[at] == SpokenText.IPA_START || ipa && text[at] != SpokenText.IPA_END;
            if (Character.isLetterOrDigit(letter)) {
                if (!inWord) {
                    said.words.add(new Utterance.WordStart(at, said.count));
                }
                inWord = true;
                said.sound(letter);
            } else if (!ipa && letter != '\'' && letter != '’') {
                inWord = false;
                if (RESTS.indexOf(letter) >= 0) {
                    said.rest();
                }
            }
        }
        said.rest();
        return said.told();
    }

    /** What is said so far. */
    private static final class Said {

        private final List<Utterance.WordStart> words = new ArrayList<>();
        private final List<Utterance.PhonemeStart> phonemes = new ArrayList<>();
        private final double pace;
        private final double hertz;
        private final boolean whispers;
        private float[] samples = new float[4 * RATE];
        private int count;
        private double phase;
        private boolean stressed;
        private int noise = 1;

        Said(SpeechRequest request) {
            Voice voice = request.voice();
            int spread = Math.floorMod(voice.engineVoice().hashCode(), 40);
            pace = request.paceFactor() * (0.85 + spread / 130.0);
            double own = voice.gender() == Gender.FEMALE ? 180 + spread : 110 + 0.75 * spread;
            hertz = Math.max(LOWEST_HERTZ, Math.min(HIGHEST_HERTZ, own * Math.pow(2, request.semitones() / 12)));
            whispers = voice.whispers();
        }

        void rest() {
            phonemes.add(new Utterance.PhonemeStart(count, true));
            room(REST_SECONDS);
        }

        void sound(int letter) {
            boolean vowel = VOWELS.indexOf(letter) >= 0;
            boolean digit = Character.isDigit(letter);
            boolean breath = whispers || UNVOICED.indexOf(letter) >= 0;
            phonemes.add(new Utterance.PhonemeStart(count, false, Character.toString(letter)));
            int from = count;
            room(digit ? DIGIT_SECONDS : vowel ? VOWEL_SECONDS : CONSONANT_SECONDS);
            float[] wave = Waves.of(letter, (int) Math.round(hertz));
            double step = hertz * (1 - FALL * Math.min(1, from / (4.0 * RATE))) / RATE;
            // the first one is the loudest, so that everything said has one loudest place
            double stress = vowel && !stressed ? 1.5 : 1;
            stressed |= vowel;
            for (int i = from; i < count; i++) {
                // comes and goes without a click
                double through = (i - from) / (double) (count - from);
                double loud = stress * 4 * through * (1 - through);
                phase = (phase + step) % 1;
                samples[i] = (float) (loud
                        * (breath
                                ? 0.06 * noise()
                                : (vowel || digit ? 0.3 : 0.15) * wave[(int) (phase * wave.length)]));
            }
        }

        /** Quick, and the same each time: Numerical Recipes' linear congruence. */
        private double noise() {
            noise = noise * 1_664_525 + 1_013_904_223;
            return noise / 2_147_483_648.0;
        }

        private void room(double seconds) {
            count += (int) Math.round(seconds / pace * RATE);
            if (count > samples.length) {
                samples = Arrays.copyOf(samples, 2 * count);
            }
        }

        Utterance told() {
            return new Utterance(new Sound(Arrays.copyOf(samples, count), RATE), words, phonemes);
        }
    }
}
