package org.logophon.app.services.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.signal.effect.Effect;

class DirectionFormTest {

    @Test
    void aFormOfDirectionIsRoundedToItsSteps() {
        Direction direction = new DirectionForm(
                        "92.6", "-1,25", "150", "", "0,123", "small speaker", "40", "tender", "60", "80")
                .direction();
        assertThat(direction)
                .isEqualTo(new Direction(93, -1.25, 150, null, 120, Effect.SMALL_SPEAKER, 40, "tender", 60, 80));
        assertThat(new DirectionForm(null, null, null, null, null, null, null, null, null, null).direction())
                .isEqualTo(Direction.NONE);
        assertThatThrownBy(() -> new DirectionForm("", "", "", "", "", "cathedral", "", null, null, null).direction())
                .hasMessageContaining("There is no effect “cathedral”.");
    }
}
