package org.logophon.app.services.rendering;

import java.util.UUID;
import java.util.concurrent.Semaphore;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.springframework.stereotype.Component;

/**
 * The maker of each recipe's speech, once. How much is made at the same time is bounded by what it takes of memory, not
 * by how many are made: one very long cue is made alone.
 */
@Component
public class SpeechMaker {

    /**
     * While a second of speech is made and measured, so many bytes of it are held at the most: some copies of its
     * samples.
     */
    private static final double BYTES_A_SECOND = 6 * 4 * 24_000;
    /** For all that is made at once. */
    private static final int MOST_MEGABYTES =
            (int) Math.max(64, Runtime.getRuntime().maxMemory() / 3 / 1_000_000);

    private final Narrator narrator;
    private final SpeechRepository speeches;
    private final RenderMeter meter;
    private final Semaphore megabytes = new Semaphore(MOST_MEGABYTES, true);

    SpeechMaker(Narrator narrator, SpeechRepository speeches, RenderMeter meter) {
        this.narrator = narrator;
        this.speeches = speeches;
        this.meter = meter;
    }

    /**
     * What is stored of a recipe, made now when it isn't there.
     *
     * @param agreement under which it may be paid for; null for none
     * @throws org.logophon.core.voice.render.SpeechFailed when the voice can't say it
     */
    public StoredSpeech make(Recipe recipe, UUID agreement) {
        return speeches.ofRecipe(recipe.hash()).orElseGet(() -> {
            int wanted = megabytes(recipe);
            megabytes.acquireUninterruptibly(wanted);
            try {
                String paidUnder = agreement == null ? null : agreement.toString();
                return speeches.save(recipe, meter.timed(recipe, () -> narrator.render(recipe, paidUnder)));
            } finally {
                megabytes.release(wanted);
            }
        });
    }

    private static int megabytes(Recipe recipe) {
        double seconds = ReferenceTime.seconds(recipe.text(), recipe.voice().language()) / recipe.paceFactor();
        return (int) Math.max(1, Math.min(MOST_MEGABYTES, seconds * BYTES_A_SECOND / 1e6));
    }
}
