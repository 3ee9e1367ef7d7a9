package org.logophon.core.input;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.direction.Dial;

class TypedNumberTest {

    @ParameterizedTest
    @CsvSource({
        "3,3",
        "-2.5,-2.5",
        "−2.5,-2.5",
        "'1,5',1.5",
        "' 7 ',7",
        "007,7",
        ".5,0.5",
        "'123456,75',123456.75",
        "+4,4"
    })
    void isReadAsPeopleTypeIt(String typed, double value) {
        assertThat(TypedNumber.read("Pitch", typed)).isEqualTo(value);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "much",
                "1.2.3",
                "NaN",
                "Infinity",
                "0x10",
                "1 2",
                "<b>",
                "1e3",
                "0x1p4",
                "1d",
                "-",
                ".",
                "--1",
                "٣"
            })
    void whatIsNoNumberIsASentence(String typed) {
        assertThatThrownBy(() -> TypedNumber.read("Pitch", typed))
                .isInstanceOf(InvalidInput.class)
                .hasMessage("Pitch is a number, and “" + typed + "” is none.");
    }

    @Test
    void whatIsFarOutIsOutOfEveryRangeAndNeverCutOff() {
        for (String far : new String[] {"42949672960", "4294967396", "-1000000", "9".repeat(5_000)}) {
            double read = TypedNumber.read("Pace", far);
            assertThat(Math.abs(read)).isEqualTo(TypedNumber.BEYOND);
            // a thousand times as much, as seconds become milliseconds, is a whole number still
            assertThat((double) (int) Math.round(read * 1_000)).isEqualTo(read * 1_000);
            assertThatThrownBy(() -> Dial.PACE.check(read))
                    .isInstanceOf(InvalidInput.class)
                    .hasMessage("Pace goes from 50 to 200 %, and that is outside.");
        }
        assertThat(TypedNumber.read("Pace", null)).isNull();
        assertThat(TypedNumber.read("Pace", "  ")).isNull();
    }
}
