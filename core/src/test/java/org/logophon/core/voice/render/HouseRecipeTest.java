package org.logophon.core.voice.render;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;

/** What a house voice, a direction and a voice's abilities come to in a recipe. */
class HouseRecipeTest {

    private static final Voice VERA = new Voice(
            "vera",
            "Vera",
            "en-GB",
            "English",
            "",
            Gender.FEMALE,
            "test",
            "x",
            EnumSet.of(Ability.PACE, Ability.PITCH, Ability.RANGE));
    private static final Tuning TUNING = new Tuning(80, -2, 90, -1.5, Effect.HALL, 40);

    private static Recipe recipe(Voice voice, Direction direction) {
        return Recipe.of("A lamp.", voice, "test 1", ResolvedDirection.of(direction));
    }

    @Test
    void tuningAndDirectionAddUp() {
        Recipe recipe = recipe(
                VERA.tuned("house-1", "Old Vera", "", TUNING), new Direction(110, 3.0, 50, null, null, null, null));
        assertThat(recipe.paceFactor()).isEqualTo(0.88, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(recipe.semitones()).isEqualTo(1);
        assertThat(recipe.treatment()).isEqualTo(new Treatment(0.45, -1.5, Effect.HALL, 40));
    }

    @Test
    void whatTheScriptSaysOfAnEffectHoldsBeforeWhatTheVoiceBrings() {
        Voice house = VERA.tuned("house-1", "Old Vera", "", TUNING);
        Recipe phone = recipe(house, new Direction(null, null, null, null, null, Effect.TELEPHONE, 90));
        assertThat(phone.treatment().effect()).isEqualTo(Effect.TELEPHONE);
        assertThat(phone.treatment().effectPercent()).isEqualTo(90);
    }

    @Test
    void theSameSoundHasTheSameRecipeWhatEverItsVoiceIsCalled() {
        Recipe tuned =
                recipe(VERA.tuned("house-1", "Old Vera", "dry", new Tuning(80, -2, 100, 0, null, 0)), Direction.NONE);
        Recipe directed = recipe(VERA, new Direction(80, -2.0, null, null));
        assertThat(tuned.hash()).isEqualTo(directed.hash());
        assertThat(recipe(VERA.tuned("house-2", "Vera again", "", Tuning.NONE), Direction.NONE)
                        .hash())
                .isEqualTo(recipe(VERA, Direction.NONE).hash());
        assertThat(recipe(VERA.tuned("house-1", "Old Vera", "", TUNING), Direction.NONE)
                        .hash())
                .isNotEqualTo(tuned.hash());
    }

    @Test
    void aHouseVoiceOfAHouseVoiceStandsOnTheSameBase() {
        Voice second = VERA.tuned("house-1", "Old Vera", "", TUNING)
                .tuned("house-2", "Older Vera", "", new Tuning(70, 0, 100, 0, null, 0));
        assertThat(second.baseId()).isEqualTo("vera");
        assertThat(second.ofTheHouse()).isTrue();
        assertThat(VERA.ofTheHouse()).isFalse();
        assertThat(recipe(second, Direction.NONE).semitones()).isZero();
    }

    @Test
    void ipaIsLeftOutForAVoiceThatKnowsNone() {
        List<Pronunciation> said = List.of(new Pronunciation(2, 6, "læmp", true));
        assertThat(Recipe.of("A lamp.", said, VERA, "test 1", ResolvedDirection.NEUTRAL)
                        .said())
                .isEmpty();
        Voice knows = new Voice(
                "ida",
                "Ida",
                "en-GB",
                "English",
                "",
                Gender.FEMALE,
                "test",
                "x",
                EnumSet.of(Ability.PACE, Ability.IPA));
        assertThat(Recipe.of("A lamp.", said, knows, "test 1", ResolvedDirection.NEUTRAL)
                        .said())
                .hasSize(1);
    }

    @Test
    void whatCannotBeTunedIsASentence() {
        assertThatThrownBy(() -> new Tuning(40, 0, 100, 0, null, 0)).hasMessageContaining("Pace goes from 50 to 200 %");
        assertThatThrownBy(() -> new Tuning(100, 13, 100, 0, null, 0))
                .hasMessageContaining("Pitch goes from -12 to 12 semitones");
        assertThatThrownBy(() -> new Tuning(100, 0, 100, Double.NaN, null, 0))
                .hasMessageContaining("Timbre goes from -3 to 3 semitones");
        assertThatThrownBy(() -> new Tuning(100, 0, 100, 0, Effect.HALL, 101))
                .hasMessageContaining("The amount of an effect");
        assertThat(new Tuning(131, 4, 100, 0, null, 0).unnatural())
                .containsExactly("More than 30 % from its own pace a voice sounds made.");
    }
}
