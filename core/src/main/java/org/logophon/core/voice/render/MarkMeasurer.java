package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.signal.pitch.PitchMeter;
import org.logophon.core.signal.pitch.PitchTrack;

/**
 * Measures on finished speech what each mark has reached.
 *
 * @param base  before the marks
 * @param phrased what phrasing alone has made of it: a mark is measured on top of that
 * @param deeds what was done to each word
 */
record MarkMeasurer(Speech base, PhrasePlacer.Placed phrased, List<WordEffect> deeds, RestRenderer.Rested rested) {

    /** So near the ends of what the meter looks for it sees half of a voice's movement only. */
    private static final double EDGE = 1.1;

    /** For each mark what was reached, in its own unit; null where there is nothing to measure. */
    List<Double> of(List<Mark> marks) {
        if (marks.isEmpty()) {
            return List.of();
        }
        PitchTrack made = PitchMeter.track(rested.sound());
        List<Double> values = new ArrayList<>();
        for (Mark mark : marks) {
            values.add(of(mark, made));
        }
        return values;
    }

    private Double of(Mark mark, PitchTrack made) {
        int rate = base.sound().rate();
        int first = -1;
        int last = -1;
        for (int i = 0; i < base.words().size(); i++) {
            if (base.words().get(i).start() >= mark.start()
                    && base.words().get(i).end() <= mark.end()) {
                first = first < 0 ? i : first;
                last = i;
            }
        }
        if (first < 0) {
            return null;
        }
        WordTime from = base.words().get(first);
        WordTime to = base.words().get(last);
        PitchTrack before = phrased.track().between(from.startSample(), to.endSample(), rate);
        PitchTrack after = made.between(
                rested.words().get(first).startSample(),
                rested.words().get(last).endSample(),
                rate);
        WordEffect deed = deeds.get(first);
        if (mark.instruction() instanceof Instruction.Pause) {
            return rested.measured()[last] < 0 ? null : rested.measured()[last] * 1000.0 / rate;
        }
        if (mark.instruction() instanceof Instruction.Pace instruction) {
            double sounding = 0;
            double own = 0;
            double asked = 0;
            for (int i = first; i <= last; i++) {
                double length = phrased.words().get(i).length(base.words().get(i));
                own += length;
                asked += length / deeds.get(i).pace();
                sounding += rested.words().get(i).endSample()
                        - rested.words().get(i).startSample();
            }
            // marks that hold one another add up: the share that is this one's
            return own == 0 ? null : instruction.percent() * asked / sounding;
        }
        if (mark.instruction() instanceof Instruction.Pitch instruction) {
            double expected = before.medianHz()
                    * Math.pow(2, (deed.semitones() + WordEffect.stressOf(deeds.subList(first, last + 1))) / 12);
            if (expected < PitchMeter.LOWEST_HZ * EDGE || expected > PitchMeter.HIGHEST_HZ / EDGE) {
                return null;
            }
            return before.medianHz() == 0 || after.medianHz() == 0 || deed.whispered()
                    ? null
                    : instruction.semitones()
                            + PitchTrack.semitones(before.medianHz(), after.medianHz())
                            - deed.semitones()
                            - WordEffect.stressOf(deeds.subList(first, last + 1));
        }
        if (mark.instruction() instanceof Instruction.Stress) {
            return before.medianHz() == 0 || after.medianHz() == 0 || deed.whispered()
                    ? null
                    : PitchTrack.semitones(before.medianHz(), after.medianHz()) - deed.semitones();
        }
        if (mark.instruction() instanceof Instruction.Range) {
            double own = before.spreadSemitones();
            return own == 0 || deed.whispered() ? null : after.spreadSemitones() / own * 100;
        }
        if (mark.instruction() instanceof Instruction.Volume instruction) {
            double own = base.sound().rms(from.startSample(), to.endSample());
            double now = rested.sound()
                    .rms(
                            rested.words().get(first).startSample(),
                            rested.words().get(last).endSample());
            return own == 0 || now == 0 || deed.whispered()
                    ? null
                    : instruction.decibels()
                            + 20 * Math.log10(now / own)
                            - deed.decibels()
                            - phrased.words().get(first).decibels();
        }
        return null;
    }
}
