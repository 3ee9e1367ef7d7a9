package org.logophon.app.services.project;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import org.logophon.app.platform.node.DatabaseChange;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.core.text.estimate.Estimate;
import org.logophon.core.text.estimate.SpeakingRate;
import org.logophon.core.text.estimate.TextTime;
import org.logophon.core.voice.figures.SpeakingRateTable;
import org.logophon.core.voice.render.Recipe;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The measured speaking rate of each voice, over all that it has spoken here. Kept in memory and read again after a
 * render.
 */
@Component
public class SpeakingRates {

    /** Less speech than this says little about a voice. */
    private static final double LEAST_SECONDS = 3;
    /** While many cues are rendered, all speech isn't summed up again after each. */
    private static final Duration FRESH = Duration.ofSeconds(2);

    private final SpeechRepository speeches;
    private final Clock clock;
    private volatile Map<String, SpeakingRate> rates;
    private volatile Instant measuredAt = Instant.MIN;
    private volatile boolean changed = true;

    SpeakingRates(SpeechRepository speeches, Clock clock) {
        this.speeches = speeches;
        this.clock = clock;
    }

    /** By what it has spoken here, else as it was measured before; null where nobody knows. */
    public SpeakingRate of(String voiceId) {
        if (rates == null || changed && measuredAt.plus(FRESH).isBefore(clock.instant())) {
            changed = false;
            measuredAt = clock.instant();
            rates = measured();
        }
        SpeakingRate here = rates.get(voiceId);
        return here != null ? here : SpeakingRateTable.of(voiceId).orElse(null);
    }

    /** Seconds that a recipe's voice is expected to take. @param phrasingPercent how much of its phrasing is heard */
    public double seconds(Recipe recipe, TextTime time, int phrasingPercent) {
        return Estimate.seconds(
                recipe.text().length(),
                time,
                phrasingPercent,
                of(recipe.voice().baseId()),
                recipe.paceFactor(),
                recipe.directedPace());
    }

    /** Something was spoken, here or on another server. */
    @EventListener
    void told(DatabaseChange told) {
        if (told.may(DatabaseChange.STATUS)) {
            changed = true;
        }
    }

    /** Something was spoken here, and not told yet. */
    public void changed() {
        changed = true;
    }

    private Map<String, SpeakingRate> measured() {
        Map<String, SpeakingRate> found = new HashMap<>();
        speeches.spoken(false).forEach((voice, seconds) -> {
            if (seconds[1] >= LEAST_SECONDS) {
                double factor = seconds[1] / seconds[0];
                found.put(
                        voice,
                        SpeakingRateTable.of(voice)
                                .map(known -> known.with(factor))
                                .orElse(new SpeakingRate(factor)));
            }
        });
        speeches.spoken(true).forEach((voice, seconds) -> {
            if (seconds[1] >= LEAST_SECONDS) {
                double phrased = seconds[1] / seconds[0];
                SpeakingRate known = found.containsKey(voice)
                        ? found.get(voice)
                        : SpeakingRateTable.of(voice).orElse(null);
                found.put(
                        voice,
                        known == null ? SpeakingRate.ofPhrased(phrased) : new SpeakingRate(known.factor(), phrased));
            }
        });
        return found;
    }
}
