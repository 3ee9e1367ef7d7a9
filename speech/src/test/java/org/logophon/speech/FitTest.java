package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;
import org.logophon.core.time.place.Cuttable;
import org.logophon.core.time.place.Fit;
import org.logophon.core.time.place.Fitting;
import org.logophon.core.time.place.TimedTake;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpeechEngine;

/** A cue that the preview says will fit its slot does, when it is rendered and measured. */
class FitTest {

    private static final WorkerPool POOL = SharedSpeech.POOL;
    private static final SpeechEngine ENGINES = SharedSpeech.ENGINES;
    /** All of the two hundred cases, and words counted for all of the voices: {@code -Dlogophon.fits=200}. */
    private static final int CASES = Integer.getInteger("logophon.fits", 8);

    private static final List<String> VOICES = List.of("nessa", "ida", "percy", "isla");
    private static final List<String> TEXTS = List.of(
            "Wedge the clay on a dry board, slowly, until no air is left in it.",
            "Centre it. Lean in with the heel of your hand, and keep your elbow on your hip.",
            "The kiln needs eight hours; open it too soon, and everything in it cracks.",
            "Glaze goes on when the pot is dry, in two thin coats, never in one thick one.",
            "Nobody slept that night, for the wind had gone round to the north, and the lamp was lit early.");

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
                    Fitting.spoken(
                            recipe.text(), voice.language(), TimedTake.of(now.sound(), now.words()), length(now)),
                    SampleCount.ZERO);
            if (!fit.fits()) {
                continue;
            }
            tried++;
            Speech fitted = narrator.render(Fitting.fitted(recipe, TimedTake.of(now.sound(), now.words()), fit))
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

    /**
     * Frauke's words die away for longer than they rest, so that there is less to tighten than her words' times say.
     */
    @Test
    void aVoiceThatDiesAwaySlowlyFitsToo() {
        Narrator narrator = new Narrator(ENGINES, new WorkerResampler(POOL));
        Voice voice = NativeVoices.catalogue().find("frauke").orElseThrow();
        for (String text : List.of(
                "Dreh noch einmal. Kleine Drehungen, auf beiden Seiten, bis der Abstand rundum gleich bleibt.",
                "Nimm den Ton, er muss feucht sein, und schlag ihn. Dann wartest du.")) {
            Recipe recipe = Recipe.of(
                    text, voice, ENGINES.version(voice), ResolvedDirection.of(new Direction(100, null, null, null)));
            Speech now = narrator.render(recipe).trimmed();
            for (double part : new double[] {0.97, 0.94, 0.91}) {
                SampleCount slot = SampleCount.nearest(length(now).seconds() * part);
                Fit fit = fit(narrator, recipe, slot);
                Speech fitted = narrator.render(Fitting.fitted(recipe, TimedTake.of(now.sound(), now.words()), fit))
                        .trimmed();
                assertThat(fit.fits()).isTrue();
                assertThat(length(fitted)).as(text + " " + part + " " + fit).isLessThanOrEqualTo(slot);
            }
        }
    }

    private static Fit fit(Narrator narrator, Recipe recipe, SampleCount slot) {
        Speech speech = narrator.render(recipe).trimmed();
        return Fit.into(
                slot,
                Fitting.spoken(
                        recipe.text(),
                        recipe.voice().language(),
                        TimedTake.of(speech.sound(), speech.words()),
                        length(speech)),
                SampleCount.ZERO);
    }

    /** The text without its first words that could go. */
    private static String without(String text, String language, int words) {
        List<int[]> cut = new ArrayList<>();
        for (Cuttable.Stretch stretch : Cuttable.of(text, language)) {
            for (Word word : Words.of(text)) {
                if (word.start() >= stretch.start() && word.end() <= stretch.end() && cut.size() < words) {
                    cut.add(new int[] {word.start(), word.end()});
                }
            }
        }
        StringBuilder left = new StringBuilder(text);
        cut.stream().sorted((a, b) -> b[0] - a[0]).forEach(at -> left.delete(at[0], at[1]));
        return left.toString().replaceAll(" +", " ").replaceAll(" ,", ",").replaceAll("(, ?)+,", ",");
    }

    @Test
    void asManyWordsAreCountedAsCuttingThemAndRenderingNeeds() {
        Narrator narrator = new Narrator(ENGINES, new WorkerResampler(POOL));
        List<String> texts = List.of(
                "The keeper, who had not slept since the storm began, climbed the tower slowly, and lit the lamp.",
                "Centre the clay, with the heel of your left hand, and gently, very slowly, open it down to the base.",
                "Nobody, not even the oldest sailor on the quay, had really seen the bay so completely still before.");
        int tried = 0;
        for (String id : VOICES.subList(0, CASES < 200 ? 2 : VOICES.size())) {
            Voice voice = NativeVoices.catalogue().find(id).orElseThrow();
            for (String text : texts) {
                Recipe recipe = Recipe.of(
                        text,
                        voice,
                        ENGINES.version(voice),
                        ResolvedDirection.of(new Direction(100, null, null, null)));
                Speech now = narrator.render(recipe).trimmed();
                SampleCount slot = SampleCount.nearest(length(now).seconds() * 0.68);
                int counted = fit(narrator, recipe, slot).words();
                assertThat(counted).as(text).isPositive();
                int needed = 0;
                Fit left;
                do {
                    needed++;
                    Recipe shorter = Recipe.of(
                            without(text, voice.language(), needed),
                            voice,
                            ENGINES.version(voice),
                            ResolvedDirection.of(new Direction(100, null, null, null)));
                    left = fit(narrator, shorter, slot);
                } while (left != null && !left.fits() && needed < 12);
                System.out.printf("%s: %d counted, %d needed%n", id, counted, needed);
                assertThat(counted).as(id + ": " + text).isBetween(needed - 1, needed + 1);
                tried++;
            }
        }
        assertThat(tried).isGreaterThanOrEqualTo(6);
    }
}
