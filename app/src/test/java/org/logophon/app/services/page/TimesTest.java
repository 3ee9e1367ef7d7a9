package org.logophon.app.services.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TimesTest {

    @ParameterizedTest
    @CsvSource({"6:00, 360", "90, 90", "1:02:30, 3750", "' 0:50 ', 50", "100:00, 6000"})
    void targetTimesAsTyped(String typed, int seconds) {
        assertThat(TargetTime.parse(typed)).isEqualTo(seconds);
    }

    @Test
    void nothingTypedIsNoTarget() {
        assertThat(TargetTime.parse("  ")).isNull();
    }

    @ParameterizedTest
    @ValueSource(strings = {"soon", "0", "-5", "1:2:3:4", "25:00:00", "999999999999", "6.5"})
    void whatIsNoTimeIsASentence(String typed) {
        assertThatThrownBy(() -> TargetTime.parse(typed))
                .message()
                .endsWith(typed.equals("0") || typed.equals("25:00:00") ? "a day." : "is not.");
    }

    @ParameterizedTest
    @CsvSource({"0, 00:00", "59.6, 01:00", "342, 05:42", "3942, 1:05:42"})
    void lengthsAsRead(double seconds, String clock) {
        assertThat(Durations.clock(seconds)).isEqualTo(clock);
    }
}
