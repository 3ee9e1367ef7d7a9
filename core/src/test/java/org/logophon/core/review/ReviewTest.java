package org.logophon.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Recipe;

class ReviewTest {

    private static ApprovalState heard(String words, String direction, String take, String loudness) {
        return new ApprovalState(words, "isla", direction, "", take, loudness);
    }

    @Test
    void anotherTakeIsToldAloneWhereNothingElseHasChanged() {
        ApprovalState then = heard("a", "1", "T1", "-19");
        assertThat(then.changed(then)).isEmpty();
        assertThat(then.changed(heard("a", "1", "T2", "-19"))).containsExactly(Aspect.TAKE);
        assertThat(then.changed(heard("b", "1", "T2", "-19"))).containsExactly(Aspect.WORDS);
        assertThat(then.changed(heard("b", "2", "T2", "-16")))
                .containsExactly(Aspect.WORDS, Aspect.DIRECTION, Aspect.LOUDNESS);
        assertThat(then.changed(heard("a", "1", "T2", "-16"))).containsExactly(Aspect.LOUDNESS, Aspect.TAKE);
        assertThat(List.of(Aspect.values())).extracting(Aspect::label).doesNotHaveDuplicates();
    }

    /** Approvals outlive the process that wrote them down: the same tuning is the same text in any. */
    @Test
    void aTunedVoiceIsWrittenTheSameAfterARestart() {
        Voice voice = new Voice("isla", "Isla", "en-GB", "English", "", Gender.FEMALE, "e", "v", Set.of())
                .tuned("mine", "Mine", "", new Tuning(100, 0, 100, 0, Effect.HALL, 50));
        Recipe recipe = Recipe.of("Fog.", voice, "1", ResolvedDirection.NEUTRAL);
        assertThat(ApprovalState.of("Fog.", recipe, "T1", -19.0, 0).voice())
                .isEqualTo("isla " + Sha256.hex(voice.tuning().toString()).substring(0, 16));
        assertThat(voice.tuning().toString()).doesNotContain("@").contains("HALL");
    }

    @Test
    void aNoteFindsItsWordOrSaysThatItIsGone() {
        NotePlace place = new NotePlace("The lamp was lit at four.", 20, 24);
        assertThat(place.word()).isEqualTo("four");
        assertThat(place.index()).isEqualTo(5);
        assertThat(place.in("Then the lamp was lit at four, again."))
                .get()
                .extracting(NotePlace::start)
                .isEqualTo(25);
        assertThat(place.in("The lamp was lit at fourteen.")).isEmpty();
        assertThat(place.in("The lamp was lit at five.")).isEmpty();
        assertThat(place.in("")).isEmpty();
    }
}
