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
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.phrasing.PhrasedTime;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SpeechSpan;
import org.logophon.core.text.estimate.Estimate;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.text.estimate.SpeakingRate;
import org.logophon.core.text.estimate.TextTime;
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
        StringBuilder table = new StringBuilder(
                "# voice of an engine\ttime against the reference\tthe same for the words of phrased speech\n");
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
            SpeakingRate rate = rate(narrator, voice);
            return String.format(Locale.ROOT, "%s\t%.3f\t%.3f%n", base, rate.factor(), rate.phrased());
        } catch (SpeechFailed mute) {
            // some voices make no sound of their language's passage
            return "";
        }
    }

    private static SpeakingRate rate(Narrator narrator, Voice voice) {
        String text = voice.language().startsWith("en")
                ? ClearnessPassage.TEXT
                : MeasuringPassage.in(voice.language()).text();
        Recipe recipe = Recipe.of(text, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL);
        TextTime time = PhrasedTime.of(text, voice.language(), ReferenceTime.seconds(text, voice.language()));
        double unphrased = seconds(narrator, recipe) * recipe.paceFactor();
        double rests = time.rests() * Estimate.restFactor(recipe.directedPace());
        double phrased = (seconds(narrator, recipe.phrased(Dial.PHRASING.neutral())) - rests) * recipe.paceFactor();
        return new SpeakingRate(unphrased / time.seconds(), phrased / time.words());
    }

    private static double seconds(Narrator narrator, Recipe recipe) {
        Sound sound = narrator.render(recipe).sound();
        SpeechSpan span = SpeechSpan.of(sound);
        return (span.to() - span.from()) / (double) sound.rate();
    }
}
