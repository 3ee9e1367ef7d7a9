package org.logophon.core.voice.render;

import java.util.List;
import java.util.Random;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Score;

/**
 * All that is done to one word, when every mark on it is taken together: rates multiply, semitones and decibels add,
 * and
 * the innermost stress wins.
 *
 * @param pace      over 1 is faster
 * @param semitones of the runs that it stands in: without its stress, and without chance
 * @param stress    semitones that its stress adds
 * @param chance    semitones that liveliness adds
 */
record WordEffect(
        double pace, double semitones, double stress, double chance, double range, double decibels, boolean whispered) {

    /**
     * Strong stress: over the promise of +2 semitones, +10 % length and +2 dB, so that it holds on a short word too.
     */
    private static final double STRONG_SEMITONES = 2.8;

    private static final double STRONG_LENGTH = 1.16;
    private static final double STRONG_DB = 2.6;
    private static final double REDUCED_LENGTH = 1 / 1.16;
    /** At full liveliness, at most. Ours. */
    static final double CHANCE_SEMITONES = 0.5;

    static final double CHANCE_LENGTH = 0.06;
    static final double CHANCE_REST = 0.2;

    /** Nothing is done. */
    static final WordEffect NONE = new WordEffect(1, 0, 0, 0, 1, 0, false);

    static WordEffect of(int start, int end, Score score, Random random) {
        double pace = 1;
        double semitones = 0;
        double range = 1;
        double decibels = 0;
        boolean whispered = false;
        Instruction.Level level = Instruction.Level.NONE;
        int innermost = Integer.MAX_VALUE;
        for (Mark mark : on(start, end, score.marks())) {
            if (mark.instruction() instanceof Instruction.Pace instruction) {
                pace *= instruction.percent() / 100.0;
            } else if (mark.instruction() instanceof Instruction.Pitch instruction) {
                semitones += instruction.semitones();
            } else if (mark.instruction() instanceof Instruction.Range instruction) {
                range *= instruction.percent() / 100.0;
            } else if (mark.instruction() instanceof Instruction.Volume instruction) {
                decibels += instruction.decibels();
            } else if (mark.instruction() instanceof Instruction.Whisper) {
                whispered = true;
            } else if (mark.instruction() instanceof Instruction.InStyle instruction) {
                pace *= instruction.style().paceFactor(instruction.percent());
                semitones += instruction.style().semitones(instruction.percent());
                range *= instruction.style().rangeFactor(instruction.percent());
                decibels += instruction.style().loudnessDb(instruction.percent());
                whispered |= instruction.style().whispered(instruction.percent());
            } else if (mark.instruction() instanceof Instruction.Stress instruction
                    && mark.end() - mark.start() <= innermost) {
                level = instruction.level();
                innermost = mark.end() - mark.start();
            }
        }
        double strength = switch (level) {
            case STRONG -> 1;
            case MODERATE -> 0.55;
            case NONE -> 0;
            case REDUCED -> -1;
        };
        double length = strength >= 0 ? 1 + (STRONG_LENGTH - 1) * strength : REDUCED_LENGTH;
        double lively = score.livelyPercent() / 100.0;
        double longer = lively == 0 ? 1 : 1 + CHANCE_LENGTH * lively * (2 * random.nextDouble() - 1);
        double higher = lively == 0 ? 0 : CHANCE_SEMITONES * lively * (2 * random.nextDouble() - 1);
        return new WordEffect(
                within(pace, 0.3, 3.2) / length / longer,
                within(semitones, -24, 24),
                STRONG_SEMITONES * strength,
                higher,
                within(range, 0, 3),
                within(decibels + STRONG_DB * strength, -40, 24),
                whispered);
    }

    private static List<Mark> on(int start, int end, List<Mark> marks) {
        return marks.stream()
                .filter(mark -> !mark.instruction().onGap() && mark.start() < end && mark.end() > start)
                .toList();
    }

    private static double within(double value, double least, double most) {
        return Math.max(least, Math.min(most, value));
    }

    /** What stress and chance do to the median pitch of a run: as much as they do to most of its words. */
    static double stressOf(List<WordEffect> run) {
        double[] moves = run.stream()
                .mapToDouble(deed -> deed.stress() + deed.chance())
                .sorted()
                .toArray();
        return moves[moves.length / 2];
    }

    /** True when words beside one another move together. */
    boolean alike(WordEffect other) {
        return semitones == other.semitones && range == other.range && whispered == other.whispered;
    }
}
