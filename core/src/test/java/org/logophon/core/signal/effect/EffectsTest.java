package org.logophon.core.signal.effect;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;

class EffectsTest {

    private static final int RATE = 22_050;

    private static double level(float[] samples, int from, int to) {
        double sum = 0;
        for (int i = from; i < to; i++) {
            sum += samples[i] * samples[i];
        }
        return 10 * Math.log10(sum / (to - from) + 1e-20);
    }

    /**
     * Two tones together: how much louder than before the first is against the second, told by how the second is
     * filtered alone.
     */
    private static double through(double hertz) {
        Sound mixed = Tones.joined(Tones.sine(1_000, -20, 1, RATE), Tones.sine(hertz, -20, 1, RATE));
        float[] out = Effects.apply(mixed, Effect.TELEPHONE, 100).samples();
        return level(out, RATE + 4_000, 2 * RATE) - level(out, 4_000, RATE);
    }

    @Test
    void theTelephonePassesItsBandAlone() {
        // ITU-T G.712: 300 to 3400 Hz
        assertThat(through(600)).isCloseTo(0, within(1.0));
        assertThat(through(2_500)).isCloseTo(0, within(1.0));
        assertThat(through(300)).isCloseTo(-3, within(1.0));
        assertThat(through(3_400)).isCloseTo(-3, within(1.0));
        assertThat(through(120)).isLessThan(-25);
        assertThat(through(7_000)).isLessThan(-20);
    }

    @Test
    void theHallDiesAwayAsLongAsItSays() {
        Random random = new Random(1);
        Sound burst = Tones.joined(Tones.of(i -> 0.2 * random.nextGaussian(), 0.3, RATE), Tones.of(i -> 0, 0.2, RATE));
        float[] out = Effects.apply(burst, Effect.HALL, 100).samples();
        assertThat(out.length / (double) RATE).isCloseTo(0.5 + 1.2, within(0.01));
        double fall = level(out, (int) (0.45 * RATE), (int) (0.55 * RATE))
                - level(out, (int) (1.25 * RATE), (int) (1.35 * RATE));
        // 60 dB in 1.6 s are 30 dB in 0.8 s; the heights go first
        assertThat(fall).isBetween(26.0, 42.0);
    }

    @ParameterizedTest
    @EnumSource
    void aMixChangesTheColourAndNotTheLoudness(Effect effect) {
        Sound tone = Tones.of(
                i -> 0.1 * Math.sin(i * 2 * Math.PI * 140 / RATE) + 0.1 * Math.sin(i * 2 * Math.PI * 1_400 / RATE),
                1,
                RATE);
        assertThat(Effects.apply(tone, effect, 0)).isSameAs(tone);
        float[] all = Effects.apply(tone, effect, 100).samples();
        assertThat(level(all, 0, RATE)).isCloseTo(level(tone.samples(), 0, RATE), within(0.5));
        assertThat(Effects.apply(tone, effect, 100).samples()).isEqualTo(all);
        assertThat(all).isNotEqualTo(Effects.apply(tone, effect, 50).samples());
    }

    @Test
    void theInnermostEffectWins() {
        Direction hall = new Direction(null, null, null, null, null, Effect.HALL, 30);
        Direction phone = new Direction(null, null, 50, null, null, Effect.TELEPHONE, null);
        ResolvedDirection both = ResolvedDirection.of(hall, phone);
        assertThat(both.effect()).isEqualTo(Effect.TELEPHONE);
        assertThat(both.effectPercent()).isEqualTo(30);
        assertThat(both.rangeFactor()).isEqualTo(0.5);
        assertThat(ResolvedDirection.of(hall, new Direction(null, null, null, null, null, null, 0))
                        .effect())
                .isNull();
        assertThatThrownBy(() -> Effect.named("cathedral"))
                .hasMessageContaining("Choose telephone, small speaker, hall or machine.");
    }
}
