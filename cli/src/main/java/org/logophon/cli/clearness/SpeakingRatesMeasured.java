package org.logophon.cli.clearness;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.ClearnessPassage;
import org.logophon.core.voice.figures.MeasuringPassage;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;

/** How fast the voices of the built-in engines speak: each reads the passage of its language, at its own pace. */
final class SpeakingRatesMeasured {

    private SpeakingRatesMeasured() {}

    /**
     * A line for each voice of an engine: its id, and its time against {@link ReferenceTime}.
     *
     * @param only ids of voices; none for all of them
     */
    static String table(List<String> only) throws InterruptedException, ExecutionException {
        Map<String, Voice> byBase = new TreeMap<>();
        NativeVoices.catalogue().all().stream()
                .filter(voice -> only.isEmpty() || only.contains(voice.id()))
                .forEach(voice -> byBase.merge(
                        voice.baseId(), voice, (one, other) -> other.id().equals(other.baseId()) ? other : one));
        int cores = Runtime.getRuntime().availableProcessors();
        ExecutorService readers = Executors.newFixedThreadPool(cores);
        StringBuilder table = new StringBuilder("# voice of an engine\ttime against the reference\n");
        try (WorkerPool pool = new WorkerPool(cores)) {
            Narrator narrator = new Narrator(new Engines(pool, null, List.of()), new WorkerResampler(pool));
            List<Future<String>> lines = new ArrayList<>();
            byBase.forEach((base, voice) -> lines.add(readers.submit(() -> line(base, narrator, voice))));
            for (Future<String> line : lines) {
                table.append(line.get());
            }
        } finally {
            readers.shutdownNow();
        }
        return table.toString();
    }

    private static String line(String base, Narrator narrator, Voice voice) {
        try {
            return String.format(Locale.ROOT, "%s\t%.3f%n", base, rate(narrator, voice));
        } catch (SpeechFailed mute) {
            // some voices make no sound of their language's passage
            return "";
        }
    }

    private static double rate(Narrator narrator, Voice voice) {
        String text = voice.language().startsWith("en")
                ? ClearnessPassage.TEXT
                : MeasuringPassage.in(voice.language()).text();
        Recipe recipe = Recipe.of(text, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL);
        Sound sound = narrator.render(recipe).sound();
        SpeechSpan span = SpeechSpan.of(sound);
        double seconds = (span.to() - span.from()) / (double) sound.rate();
        return seconds * recipe.paceFactor() / ReferenceTime.seconds(text, voice.language());
    }
}
