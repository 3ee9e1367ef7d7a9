package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.place.Fit;
import org.logophon.core.place.Fitting;
import org.logophon.core.programme.SampleCount;
import org.logophon.core.render.Narrator;
import org.logophon.core.render.Recipe;
import org.logophon.core.render.Speech;
import org.logophon.core.voice.Voice;

/** A cue that the preview says will fit its slot does, when it is rendered and measured. */
class FitTest {

    private static final WorkerPool POOL = new WorkerPool(2);
    private static final Engines ENGINES = new Engines(POOL);
    /** All of the two hundred cases: {@code -Dlogophon.fits=200}. */
    private static final int CASES = Integer.getInteger("logophon.fits", 16);

    private static final List<String> VOICES = List.of("nessa", "ida", "percy", "isla");
    private static final List<String> TEXTS = List.of(
            "Wedge the clay on a dry board, slowly, until no air is left in it.",
            "Centre it. Lean in with the heel of your hand, and keep your elbow on your hip.",
            "The kiln needs eight hours; open it too soon, and everything in it cracks.",
            "Glaze goes on when the pot is dry, in two thin coats, never in one thick one.",
            "Nobody slept that night, for the wind had gone round to the north, and the lamp was lit early.");

    @AfterAll
    static void stop() {
        POOL.close();
    }

    private static SampleCount length(Speech speech) {
        return SampleCount.converted(
                speech.sound().samples().length, speech.sound().rate());
    }

    @Test
    void whatIsSaidToFitFits() {
        Narrator narrator = new Narrator(ENGINES, new WorkerResampler(POOL));
        Random random = new Random(7);
        int tried = 0;
        int over = 0;
        double closest = 9;
        StringBuilder misses = new StringBuilder();
        while (tried < CASES) {
            Voice voice = NativeVoices.catalogue()
                    .find(VOICES.get(random.nextInt(VOICES.size())))
                    .orElseThrow();
            ResolvedDirection direction =
                    ResolvedDirection.of(new Direction(85 + random.nextInt(25), null, null, null));
            Recipe recipe =
                    Recipe.of(TEXTS.get(random.nextInt(TEXTS.size())), voice, ENGINES.version(voice), direction);
            Speech now = narrator.render(recipe).trimmed();
            SampleCount slot = SampleCount.nearest(length(now).seconds() * (0.84 + 0.15 * random.nextDouble()));
            Fit fit = Fit.into(
                    slot,
                    Fitting.spoken(recipe.text(), now.words(), now.sound().rate(), length(now)),
                    SampleCount.ZERO);
            if (!fit.fits()) {
                continue;
            }
            tried++;
            Speech fitted = narrator.render(
                            Fitting.fitted(recipe, now.words(), now.sound().rate(), fit))
                    .trimmed();
            double spare = slot.minus(length(fitted)).seconds();
            closest = Math.min(closest, spare);
            if (spare < 0) {
                over++;
                misses.append(voice.id())
                        .append(' ')
                        .append(fit)
                        .append(' ')
                        .append(spare)
                        .append('\n');
            }
        }
        System.out.printf("%d fits, %d over, the closest with %.3f s to spare%n", tried, over, closest);
        assertThat(over).as(misses.toString()).isZero();
    }
}
