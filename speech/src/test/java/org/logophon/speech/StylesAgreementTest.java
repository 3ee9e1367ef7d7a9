package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.direction.style.Style;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;

/** Each style goes its way on the sound: pitch by Praat, the rest by the core's own meters. */
@Execution(ExecutionMode.CONCURRENT)
class StylesAgreementTest {

    private static final String LINE = "The crew have only one tide to lift it out of the tower.";
    private static final Narrator NARRATOR = new Narrator(SharedSpeech.ENGINES, new WorkerResampler(SharedSpeech.POOL));

    /** One in each run, all four by {@code ./logophon fuzz}. */
    static List<String> voices() {
        return SharedSpeech.each(4, List.of("rufus", "marnie", "farquhar", "verity"));
    }

    private static Sound said(Voice voice, List<Mark> marks) {
        Recipe recipe = Recipe.of(LINE, voice, NARRATOR.engineVersion(voice), ResolvedDirection.NEUTRAL);
        return NARRATOR.render(recipe.with(new Score(marks, PauseDefaults.NONE, 0, 0)))
                .sound();
    }

    @ParameterizedTest
    @MethodSource("voices")
    void eachStyleGoesItsWay(String id) {
        Voice voice = NativeVoices.catalogue().find(id).orElseThrow();
        Sound plain = said(voice, List.of());
        double pitch = Praat.pitch(plain);
        double spread = PitchMeter.track(plain).spreadSemitones();
        for (Style style : Style.offered()) {
            Sound styled = said(voice, List.of(Mark.own(0, LINE.length() - 1, new Instruction.InStyle(style, 100))));
            double pace = SpeechSpan.soundingSeconds(plain) / SpeechSpan.soundingSeconds(styled);
            way(style + " pace", style.paceFactor(100) - 1, pace - 1, 0.03);
            if (style.whispered(100)) {
                assertThat(PitchMeter.track(styled).voicedShare())
                        .as(style + " has no voice")
                        .isLessThan(PitchMeter.track(plain).voicedShare() / 2);
                continue;
            }
            way(style + " pitch", style.semitones(100), 12 * Math.log(Praat.pitch(styled) / pitch) / Math.log(2), 0.5);
            double range = PitchMeter.track(styled).spreadSemitones() / spread;
            way(style + " range", style.rangeFactor(100) - 1, range - 1, 0.1);
            double louder =
                    20 * Math.log10(styled.rms(0, styled.samples().length) / plain.rms(0, plain.samples().length));
            way(style + " loudness", style.loudnessDb(100), louder, 1);
        }
    }

    /** What is asked for is heard the same way; less than a step of it may stay as it is. */
    private static void way(String what, double asked, double heard, double step) {
        if (Math.abs(asked) >= step) {
            assertThat(heard * Math.signum(asked)).as(what).isGreaterThan(0.3 * step);
        }
    }
}
