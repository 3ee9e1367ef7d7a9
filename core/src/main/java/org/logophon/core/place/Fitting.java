package org.logophon.core.place;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.mark.Instruction;
import org.logophon.core.mark.Mark;
import org.logophon.core.mark.Marks;
import org.logophon.core.mark.Score;
import org.logophon.core.place.Fit.Spoken;
import org.logophon.core.programme.SampleCount;
import org.logophon.core.render.Recipe;
import org.logophon.core.render.WordTime;
import org.logophon.core.script.Words;

/** From a take and its fit to the direction that makes it so: a pace, and a pause for each gap that is heard. */
public final class Fitting {

    /** A gap that is heard as one. */
    private static final double HEARD_SECONDS = 0.08;

    private static final int STEP_MILLIS = 10;

    private Fitting() {}

    /**
     * What a fit starts from.
     *
     * @param language of the text, by which words are found that could go
     * @param words    of the take, in samples at {@code rate}
     * @param length   of the take
     */
    public static Spoken spoken(String text, String language, List<WordTime> words, int rate, SampleCount length) {
        List<SampleCount> pauses = new ArrayList<>();
        for (int i = 0; i + 1 < words.size(); i++) {
            double gap = gap(words, i, rate);
            if (gap >= HEARD_SECONDS) {
                pauses.add(SampleCount.nearest(gap));
            }
        }
        List<SampleCount> losses = new ArrayList<>();
        for (Cuttable.Stretch stretch : Cuttable.of(text, language)) {
            for (int i = 0; i < words.size(); i++) {
                WordTime word = words.get(i);
                if (word.start() >= stretch.start() && word.end() <= stretch.end()) {
                    int next = i + 1 < words.size() ? words.get(i + 1).startSample() : word.endSample();
                    losses.add(SampleCount.converted(Math.max(0, next - word.startSample()), rate));
                }
            }
        }
        return new Spoken(length, pauses, Words.count(text), losses);
    }

    private static double gap(List<WordTime> words, int at, int rate) {
        return (words.get(at + 1).startSample() - words.get(at).endSample()) / (double) rate;
    }

    /** Marks of the cue with its pauses scaled: each is one that was measured. */
    public static Marks paused(Marks marks, String text, List<WordTime> words, int rate, Fit fit) {
        Marks scaled = marks;
        if (fit.pausePercent() == 100) {
            return scaled;
        }
        for (int i = 0; i + 1 < words.size(); i++) {
            double gap = gap(words, i, rate);
            if (gap >= HEARD_SECONDS) {
                int millis = (int) (gap * 1_000 * fit.pausePercent() / 100) / STEP_MILLIS * STEP_MILLIS;
                scaled = scaled.with(
                        Mark.own(words.get(i).start(), words.get(i).end(), new Instruction.Pause(millis)), text);
            }
        }
        return scaled;
    }

    /** A recipe at the pace and with the pauses of a fit. */
    public static Recipe fitted(Recipe recipe, List<WordTime> words, int rate, Fit fit) {
        Score score = recipe.score();
        Marks marks = paused(new Marks(score.marks()), recipe.text(), words, rate, fit);
        return recipe.atPace(recipe.paceFactor() * fit.pacePercent() / 100)
                .with(new Score(marks.scored(), score.pauseDefaults(), score.livelyPercent(), score.seed()));
    }
}
