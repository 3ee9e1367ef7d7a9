package org.logophon.app.services.rendering;

import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.Timer;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.springframework.stereotype.Component;

/** The render times and failures of engines since the start. */
@Component
public class RenderMeter {

    private static final String NAME = "logophon.render";
    private static final String ENGINE = "engine";
    private static final String OUTCOME = "outcome";

    private final MeterRegistry meters;

    RenderMeter(MeterRegistry meters) {
        this.meters = meters;
    }

    /** @param seconds in all. @param slowest lately */
    public record OfEngine(String engine, long made, double seconds, double slowest, long failed) {}

    /** Of each engine that has been asked, by its name. */
    public List<OfEngine> engines() {
        return meters.find(NAME).timers().stream()
                .map(timer -> timer.getId().getTag(ENGINE))
                .distinct()
                .sorted()
                .map(engine -> {
                    Timer made = timer(engine, "made");
                    return new OfEngine(
                            engine,
                            made.count(),
                            made.totalTime(TimeUnit.SECONDS),
                            made.max(TimeUnit.SECONDS),
                            timer(engine, "failed").count());
                })
                .toList();
    }

    Speech timed(Recipe recipe, Supplier<Speech> work) {
        Timer.Sample begun = Timer.start(meters);
        String outcome = "failed";
        try {
            Speech speech = work.get();
            outcome = "made";
            return speech;
        } finally {
            begun.stop(timer(recipe.voice().engine(), outcome));
        }
    }

    private Timer timer(String engine, String outcome) {
        return Timer.builder(NAME)
                .description("Making a speech")
                .tags(ENGINE, engine, OUTCOME, outcome)
                .register(meters);
    }
}
