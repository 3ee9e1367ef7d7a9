package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.pitch.PitchTrack;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.recording.Likeness;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;

/** A voice that measures like a person: the person is one of our voices, tuned so that none of the others is it. */
class LikenessTest {

    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final String TEXT =
            "The crew have one tide to lift it out, and the sling is old. Each prism is cleaned with water, "
                    + "wrapped in paper, and carried down the stairs by hand. Nobody speaks. Then it is down.";

    private static Voice voice(String id) {
        return NativeVoices.catalogue().find(id).orElseThrow();
    }

    @Test
    void theTunedVoiceMeasuresLikeThePersonAndWhatIsLeftIsTold() {
        Narrator narrator = new Narrator(SharedSpeech.ENGINES, new WorkerResampler(POOL));
        Voice person = voice("rufus").tuned("person", "person", "", new Tuning(88, 1.5, 80, -1, null, 0));
        Sound said = narrator.render(Recipe.of(TEXT, person, "", ResolvedDirection.NEUTRAL))
                .sound();
        Likeness likeness = Likeness.of(
                said, TEXT, List.of(voice("marnie"), voice("rufus"), voice("farquhar"), voice("otis")), narrator);
        assertThat(likeness.nearest()).hasSize(3);
        Likeness.Near best = likeness.nearest().get(0);
        System.out.println(likeness.person() + " / " + best);
        assertThat(best.voice().id()).isEqualTo("rufus");
        for (Likeness.Near near : likeness.nearest()) {
            assertThat(PitchTrack.semitones(
                            likeness.person().medianPitchHz(), near.tuned().medianPitchHz()))
                    .as(near.voice().id())
                    .isCloseTo(0, Offset.offset(0.6));
            assertThat(near.tuned().wordsPerMinute() / likeness.person().wordsPerMinute())
                    .as(near.voice().id())
                    .isCloseTo(1, Offset.offset(0.08));
            assertThat(near.left()).hasSize(4).anyMatch(left -> left.contains("semitones"));
        }
        assertThat(Math.abs(best.tuned().brightnessHz() / likeness.person().brightnessHz() - 1))
                .isLessThan(
                        Math.abs(best.own().brightnessHz() / likeness.person().brightnessHz() - 1) + 0.02);
    }
}
