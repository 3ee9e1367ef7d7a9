package org.logophon.core.time.place;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.text.script.Words;
import org.logophon.core.time.place.Fit.Spoken;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.WordTime;

/** From a take and its fit to the direction that makes it so: a pace, and a pause for each gap that is heard. */
public final class Fitting {

    /** A gap that is heard as one. */
    private static final SampleCount HEARD = SampleCount.ofMillis(80);

    private static final int STEP_MILLIS = 10;

    private Fitting() {}

    /**
     * What a fit starts from.
     *
     * @param language of the text, by which words are found that could go
     * @param length   of the take when it is finished
     */
    public static Spoken spoken(String text, String language, TimedTake take, SampleCount length) {
        List<SampleCount> pauses = take.rests().stream().filter(Fitting::heard).toList();
        List<SampleCount> losses = new ArrayList<>();
        List<WordTime> words = take.words();
        for (Cuttable.Stretch stretch : Cuttable.of(text, language)) {
            for (int i = 0; i < words.size(); i++) {
                WordTime word = words.get(i);
                if (word.start() >= stretch.start() && word.end() <= stretch.end()) {
                    int next = i + 1 < words.size() ? words.get(i + 1).startSample() : word.endSample();
                    losses.add(SampleCount.converted(Math.max(0, next - word.startSample()), take.rate()));
                }
            }
        }
        return new Spoken(length, pauses, Words.count(text), losses);
    }

    private static boolean heard(SampleCount rest) {
        return rest.compareTo(HEARD) >= 0;
    }

    /** Marks of the cue with its pauses scaled: each is one that was measured. */
    public static Marks paused(Marks marks, String text, TimedTake take, Fit fit) {
        Marks scaled = marks;
        if (fit.pausePercent() == 100) {
            return scaled;
        }
        for (int i = 0; i < take.rests().size(); i++) {
            SampleCount rest = take.rests().get(i);
            if (heard(rest)) {
                int millis = (int) (rest.seconds() * 1_000 * fit.pausePercent() / 100) / STEP_MILLIS * STEP_MILLIS;
                WordTime word = take.words().get(i);
                scaled = scaled.with(Mark.own(word.start(), word.end(), new Instruction.Pause(millis)), text);
            }
        }
        return scaled;
    }

    /** A recipe at the pace and with the pauses of a fit. */
    public static Recipe fitted(Recipe recipe, TimedTake take, Fit fit) {
        Score score = recipe.score();
        Marks marks = paused(new Marks(score.marks()), recipe.text(), take, fit);
        return recipe.atPace(recipe.paceFactor() * fit.pacePercent() / 100)
                .with(new Score(
                        marks.scored(recipe.text()), score.pauseDefaults(), score.livelyPercent(), score.seed()));
    }
}
