package org.logophon.core.direction.style;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Recipe;

class StyleTest {

    private static final Voice PLAIN = new Voice(
            "v",
            "Vera",
            "en-GB",
            "English",
            "",
            Gender.FEMALE,
            "e",
            "e",
            Set.of(Ability.PACE, Ability.PITCH, Ability.RANGE));
    private static final Voice STYLED = new Voice(
            "s",
            "Siri",
            "en-GB",
            "English",
            "",
            Gender.FEMALE,
            Age.GROWN,
            List.of(),
            "e",
            "e",
            Set.of(Ability.PACE, Ability.PITCH),
            Set.of(),
            List.of("urgent", "gruff"),
            Terms.FREE);

    private static ResolvedDirection effective(String style, Integer percent) {
        return ResolvedDirection.of(new Direction(null, null, null, null, null, null, null, style, percent));
    }

    private static Recipe recipe(Voice voice, String style, Integer percent) {
        return Recipe.of("A lamp.", voice, "e 1", effective(style, percent));
    }

    /**
     * Directions of Murray and Arnott, JASA 93 (1993), table 1, as recalled, unverified: 1 up, −1 down, 0 as normal.
     */
    @ParameterizedTest
    @CsvSource({
        "HAPPY, happiness, , 1, 1, 1",
        "AFRAID, fear, 1, 1, 1, 0",
        "ANGRY, anger, 1, 1, 1, 1",
        "SAD, sadness, -1, -1, -1, -1"
    })
    void aStyleWithACounterpartGoesItsWay(
            Style style, String emotion, Integer pace, int pitch, int range, int loudness) {
        Recipe made = recipe(PLAIN, style.id(), 100);
        if (pace != null) {
            assertThat(Math.signum(made.paceFactor() - 1))
                    .as("pace of " + emotion)
                    .isEqualTo(pace.doubleValue());
        }
        assertThat(Math.signum(made.semitones())).as("pitch of " + emotion).isEqualTo(pitch);
        assertThat(Math.signum(made.treatment().rangeFactor() - 1))
                .as("range of " + emotion)
                .isEqualTo(range);
        assertThat(Math.signum(effective(style.id(), 100).loudnessDb()))
                .as("loudness of " + emotion)
                .isEqualTo(loudness);
    }

    @ParameterizedTest
    @EnumSource(Style.class)
    void halfTwiceIsTheWholeAndNothingIsNothing(Style style) {
        assertThat(style.paceFactor(50) * style.paceFactor(50)).isCloseTo(style.paceFactor(100), within(1e-9));
        assertThat(style.rangeFactor(50) * style.rangeFactor(50)).isCloseTo(style.rangeFactor(100), within(1e-9));
        assertThat(2 * style.semitones(50)).isCloseTo(style.semitones(100), within(1e-9));
        assertThat(effective(style.id(), 0)).isEqualTo(ResolvedDirection.NEUTRAL);
        assertThat(recipe(PLAIN, style.id(), 0).hash())
                .isEqualTo(recipe(PLAIN, null, null).hash());
        // far from the edges of what a voice does well
        assertThat(style.paceFactor(100)).isBetween(0.8, 1.2);
        assertThat(Math.abs(style.semitones(100))).isLessThanOrEqualTo(3);
    }

    @Test
    void aVoiceWithAWayOfItsOwnIsAskedForIt() {
        Recipe own = recipe(STYLED, "urgent", 100);
        assertThat(own.style()).isEqualTo("urgent");
        assertThat(own.paceFactor()).isEqualTo(1);
        assertThat(own.semitones()).isZero();
        assertThat(own.hash()).isNotEqualTo(recipe(STYLED, null, null).hash());
        assertThat(recipe(STYLED, "gruff", null).style()).isEqualTo("gruff");
        Recipe made = recipe(PLAIN, "urgent", 100);
        assertThat(made.style()).isEmpty();
        assertThat(made.paceFactor()).isGreaterThan(1.1);
        assertThat(recipe(PLAIN, "gruff", 100).hash())
                .as("unknown to the voice and to us")
                .isEqualTo(recipe(PLAIN, null, null).hash());
    }

    /** A project that says "bright" sounds as it did, and is shown as happy. */
    @ParameterizedTest
    @CsvSource({"bright, HAPPY", "urgent, EXCITED", "grave, SERIOUS", "weary, SAD", "stern, ANGRY"})
    void earlierNamesAreUnderstoodAndSoundAsTheyDid(String earlier, Style now) {
        assertThat(Style.named(earlier)).contains(now);
        assertThat(recipe(PLAIN, earlier, 80).hash())
                .isEqualTo(recipe(PLAIN, now.id(), 80).hash());
        assertThat(Mark.own(0, 3, new Instruction.InStyle(now, 80)).canonical())
                .isEqualTo("0-3 style " + earlier + " 80");
        assertThat(Instruction.of("style", earlier + " 80").value()).isEqualTo(now.id() + " 80");
        assertThat(Style.words()).contains(now.id()).doesNotContain(earlier).doesNotContain("confiding");
        assertThat(Style.offered()).hasSize(16);
    }

    @Test
    void theInnermostStyleWinsAndPlainEndsIt() {
        Direction weary = new Direction(null, null, null, null, null, null, null, "weary", 50);
        Direction bright = new Direction(null, null, null, null, null, null, null, "bright", null);
        Direction plain = new Direction(null, null, null, null, null, null, null, "", null);
        assertThat(ResolvedDirection.of(weary, bright))
                .extracting(ResolvedDirection::style, ResolvedDirection::stylePercent)
                .containsExactly("bright", 50);
        assertThat(ResolvedDirection.of(weary, plain)).isEqualTo(ResolvedDirection.NEUTRAL);
        assertThat(ResolvedDirection.of(weary).pauseMillis()).isGreaterThan(ResolvedDirection.DEFAULT_PAUSE_MILLIS);
        assertThatThrownBy(() -> new Direction(null, null, null, null, null, null, null, "weary", 201))
                .hasMessage("The strength of a style goes from 0 to 200 %, and 201 is outside.");
        assertThatThrownBy(() -> new Direction(null, null, null, null, null, null, null, "a\nb", 100))
                .hasMessageContaining("Choose one of happy, excited");
    }
}
