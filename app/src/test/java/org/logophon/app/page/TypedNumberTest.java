package org.logophon.app.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.direction.Direction;
import org.logophon.core.effect.Effect;

class TypedNumberTest {

    @ParameterizedTest
    @CsvSource({"3,3", "-2.5,-2.5", "−2.5,-2.5", "'1,5',1.5", "' 7 ',7", "1e3,1000", "+4,4"})
    void isReadAsPeopleTypeIt(String typed, double value) {
        assertThat(TypedNumber.read("Pitch", typed)).isEqualTo(value);
    }

    @ParameterizedTest
    @ValueSource(strings = {"much", "1.2.3", "NaN", "Infinity", "0x10", "1 2", "<b>"})
    void whatIsNoNumberIsASentence(String typed) {
        assertThatThrownBy(() -> TypedNumber.read("Pitch", typed))
                .hasMessage("Pitch is a number, and \"" + typed + "\" is none.");
    }

    @Test
    void whatIsFarOutIsASentenceBeforeItIsWrittenOut() {
        assertThatThrownBy(() -> TypedNumber.read("Pace", "1e999999")).hasMessageContaining("far out of range");
        assertThat(TypedNumber.read("Pace", null)).isNull();
        assertThat(TypedNumber.read("Pace", "  ")).isNull();
    }

    @Test
    void aFormOfDirectionIsRoundedToItsSteps() {
        Direction direction = new DirectionForm(
                        "92.6", "-1,25", "150", "", "0,123", "small speaker", "40", "tender", "60")
                .direction();
        assertThat(direction)
                .isEqualTo(new Direction(93, -1.25, 150, null, 120, Effect.SMALL_SPEAKER, 40, "tender", 60));
        assertThat(new DirectionForm(null, null, null, null, null, null, null, null, null).direction())
                .isEqualTo(Direction.NONE);
        assertThatThrownBy(() -> new DirectionForm("", "", "", "", "", "cathedral", "", null, null).direction())
                .hasMessageContaining("There is no effect “cathedral”.");
    }
}
