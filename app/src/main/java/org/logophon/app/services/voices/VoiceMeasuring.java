package org.logophon.app.services.voices;

import java.time.Clock;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.logophon.app.services.hired.Prices;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.figures.VoiceMeter;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.SpeechFailed;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Measures in the background every voice that has no figures yet, one after another, English first. What was measured
 * stays; a stop in between costs one voice. A hired voice is measured when somebody has agreed to what it costs.
 */
@Component
public class VoiceMeasuring implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(VoiceMeasuring.class);
    private static final Duration TRIED_AGAIN = Duration.ofDays(1);

    private final VoiceCatalogue voices;
    private final VoiceFiguresRepository figures;
    private final Narrator narrator;
    private final Prices prices;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final boolean wanted;
    private volatile boolean stopped;
    private volatile Progress progress = new Progress(0, 0);

    VoiceMeasuring(
            VoiceCatalogue voices,
            VoiceFiguresRepository figures,
            Narrator narrator,
            Prices prices,
            TransactionTemplate transaction,
            Clock clock,
            @Value("${logophon.measure-voices}") boolean wanted) {
        this.voices = voices;
        this.figures = figures;
        this.narrator = narrator;
        this.prices = prices;
        this.transaction = transaction;
        this.clock = clock;
        this.wanted = wanted;
    }

    /** How far it is. */
    public record Progress(int done, int total) {

        public boolean running() {
            return done < total;
        }
    }

    public Progress progress() {
        return progress;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        if (wanted) {
            Thread thread = new Thread(this::measureAll, "voice-measuring");
            thread.setDaemon(true);
            thread.setPriority(Thread.MIN_PRIORITY);
            thread.start();
        }
    }

    private void measureAll() {
        List<Voice> all = voices.all().stream()
                .sorted(Comparator.comparing(voice -> !voice.language().startsWith("en")))
                .toList();
        progress = new Progress(0, all.size());
        for (Voice voice : all) {
            if (stopped) {
                return;
            }
            try {
                if (prices.quote(List.of(VoiceMeter.recipe(narrator, voice))).free()) {
                    // another server that is at this voice measures it alone; this one goes on with the next
                    transaction.executeWithoutResult(status -> {
                        if (figures.mine(voice)) {
                            measureOnce(voice);
                        }
                    });
                }
            } catch (DataAccessException | TransactionException away) {
                LOG.warn("The voice {} could not be measured: the database doesn't answer", voice.id());
            }
            progress = new Progress(progress.done() + 1, all.size());
        }
    }

    /**
     * Measures a voice that has to be paid.
     *
     * @param agreed characters
     * @throws org.logophon.app.platform.failure.PriceFirst when that is too few
     */
    public void measurePaid(Voice voice, int agreed) {
        UUID agreement = prices.agree(null, List.of(VoiceMeter.recipe(narrator, voice)), agreed);
        measure(voice, agreement == null ? null : agreement.toString());
    }

    /** Measures a voice that costs nothing, unless that version of it has been. */
    public void measure(Voice voice) {
        measure(voice, null);
    }

    /**
     * A voice that makes no sound of the passage is told of once, whichever server finds it, and tried again after a
     * day.
     */
    private void measureOnce(Voice voice) {
        String version = version(voice);
        if (figures.soundlessSince(voice, version, clock.instant().minus(TRIED_AGAIN))) {
            return;
        }
        try {
            measure(voice);
        } catch (SpeechFailed mute) {
            figures.saveSoundless(voice, version);
            LOG.warn("The voice {} could not be measured: {}", voice.id(), mute.getMessage());
        }
    }

    /** A voice made of another that was tuned anew is another version. */
    private String version(Voice voice) {
        return narrator.engineVersion(voice)
                + (voice.ofTheHouse() || voice.ofTheCast() ? " " + voice.baseId() + " " + voice.tuning() : "");
    }

    private void measure(Voice voice, String agreement) {
        String version = version(voice);
        if (!figures.has(voice, version)) {
            figures.save(voice, version, VoiceMeter.measure(narrator, voice, agreement));
        }
    }

    @Override
    public void destroy() {
        stopped = true;
    }
}
