package org.logophon.core.direction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class ResolvedDirectionTest {

    @Test
    void ratesMultiplySemitonesAndDecibelsAddTheInnermostPauseWins() {
        ResolvedDirection effective = ResolvedDirection.of(
                new Direction(110, 1.0, -2.0, 300),
                new Direction(80, -2.5, null, 700),
                new Direction(100, 0.5, 3.0, null));
        assertThat(effective.paceFactor()).isCloseTo(0.88, within(1e-9));
        assertThat(effective.semitones()).isCloseTo(-1, within(1e-9));
        assertThat(effective.loudnessDb()).isCloseTo(1, within(1e-9));
        assertThat(effective.pauseMillis()).isEqualTo(700);
    }

    @Test
    void sumsStopAtTheEdgeOfTheRange() {
        ResolvedDirection effective =
                ResolvedDirection.of(new Direction(200, 12.0, 12.0, null), new Direction(200, 12.0, 12.0, null));
        assertThat(effective).isEqualTo(new ResolvedDirection(2, 12, 12, ResolvedDirection.DEFAULT_PAUSE_MILLIS));
    }

    @Test
    void outOfRangeIsASentence() {
        assertThatThrownBy(() -> new Direction(201, null, null, null))
                .hasMessage("Pace goes from 50 to 200 %, and 201 is outside.");
        assertThatThrownBy(() -> new Direction(null, Double.NaN, null, null)).hasMessageContaining("semitones");
        assertThatThrownBy(() -> new Direction(null, null, null, 10_001)).hasMessageContaining("10 s, and 10.001");
    }
}
