package org.logophon.core.voice.figures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Gender;

/** The meter on sounds whose figures are known beforehand. */
class VoiceMeterTest {

    private static final int RATE = 22_050;

    /** Six harmonics over a tone that steps from one pitch to the next, half a second each. */
    private static Sound steps(double... hertz) {
        double[] phase = {0};
        return Tones.of(
                i -> {
                    phase[0] += 2 * Math.PI * hertz[Math.min(hertz.length - 1, i / (RATE / 2))] / RATE;
                    double sum = 0;
                    for (int h = 1; h <= 6; h++) {
                        sum += Math.sin(h * phase[0]) / h;
                    }
                    return 0.2 * sum;
                },
                hertz.length / 2.0,
                RATE);
    }

    @Test
    void pitchIsTheMedianAndRangeTheMiddleFourFifths() {
        MeasuringPassage passage = new MeasuringPassage("one two three four", "en-GB", true);
        VoiceFigures figures = VoiceMeter.of(steps(100, 100, 120, 120, 120, 120, 120, 150, 150, 150), passage, false);
        assertThat(figures.medianPitchHz()).isCloseTo(120, within(1.2));
        // 150 Hz over 100 Hz are 7.02 semitones
        assertThat(figures.pitchRangeSemitones()).isCloseTo(7.02, within(0.15));
        assertThat(figures.wordsPerMinute()).isCloseTo(4 * 60 / 5.0, within(0.5));
        assertThat(figures.syllablesPerMinute()).isCloseTo(4 * 60 / 5.0, within(0.5));
    }

    @Test
    void quietBeforeAndAfterIsNoPartOfThePace() {
        MeasuringPassage passage = new MeasuringPassage("one two", "en-GB", true);
        Sound quiet = Tones.of(i -> 0, 1, RATE);
        double alone = VoiceMeter.of(steps(120, 120), passage, false).wordsPerMinute();
        assertThat(VoiceMeter.of(Tones.joined(quiet, steps(120, 120), quiet), passage, false)
                        .wordsPerMinute())
                .isCloseTo(alone, within(0.5));
    }

    @Test
    void aWhisperHasNoPitchAndWordsThatAreNotCountedNoPace() {
        java.util.Random random = new java.util.Random(1);
        Sound noise = Tones.of(i -> 0.1 * random.nextGaussian(), 1, RATE);
        VoiceFigures figures = VoiceMeter.of(noise, new MeasuringPassage("1 2 3", "jbo", false), true);
        assertThat(figures.medianPitchHz()).isNull();
        assertThat(figures.pitchRangeSemitones()).isNull();
        assertThat(figures.wordsPerMinute()).isNull();
        // white noise up to 8 kHz has its middle at 4 kHz
        assertThat(figures.brightnessHz()).isCloseTo(4_000, within(150.0));
    }

    @ParameterizedTest
    @CsvSource({"500,16000", "1000,22050", "3000,16000", "3000,48000"})
    void brightnessOfOneToneIsItsFrequencyAtAnyRate(double hertz, int rate) {
        assertThat(Brightness.hertz(Tones.sine(hertz, -12, 1, rate))).isCloseTo(hertz, within(0.01 * hertz));
    }

    @Test
    void brightnessOfTwoTonesLiesBetweenThemByTheirPower() {
        Sound low = Tones.sine(500, -12, 1, RATE);
        Sound high = Tones.sine(2_500, -12, 1, RATE);
        assertThat(Brightness.hertz(Tones.joined(low, high))).isCloseTo(1_500, within(20.0));
        assertThat(Brightness.hertz(Tones.of(i -> 0, 1, RATE))).isZero();
    }

    @Test
    void passagesAreLongEnoughToMeasure() {
        assertThat(Words.count(MeasuringPassage.in("en-US").text())).isEqualTo(80);
        assertThat(MeasuringPassage.in("fr-BE"))
                .isEqualTo(new MeasuringPassage(MeasuringPassage.in("fr").text(), "fr-BE", true));
        // CLDR spells Finnish numbers as one word each
        assertThat(Words.count(MeasuringPassage.in("fi").text())).isEqualTo(30);
    }

    @Test
    void wordsSayWhatTheFiguresAre() {
        assertThat(VoiceCharacter.of(new VoiceFigures(80.0, 2.0, 200.0, 230.0, 500), Gender.MALE))
                .containsExactly("deep", "even", "dark");
        assertThat(VoiceCharacter.of(new VoiceFigures(230.0, 6.0, 200.0, 230.0, 1_200), Gender.FEMALE))
                .containsExactly("high", "lively", "bright");
        assertThat(VoiceCharacter.of(new VoiceFigures(200.0, 4.0, 200.0, 230.0, 800), Gender.FEMALE))
                .isEmpty();
        assertThat(VoiceCharacter.of(new VoiceFigures(null, null, null, null, 1_200), Gender.MALE))
                .containsExactly("bright");
    }
}
