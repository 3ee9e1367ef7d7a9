package org.logophon.core.time.place;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.logophon.core.time.place.Fit.Spoken;
import org.logophon.core.time.place.PlaceCheck.Picture;
import org.logophon.core.time.place.PlaceCheck.PlacedCue;
import org.logophon.core.time.place.PlaceFinding.Kind;
import org.logophon.core.time.place.SpareTime.Gap;
import org.logophon.core.time.place.SpareTime.Way;
import org.logophon.core.time.programme.Placement;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.time.programme.Placement.Fixed;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.Entry;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;

class PlaceTest {

    private static final FrameRate RATE = FrameRate.DEFAULT;

    private static SampleCount seconds(double seconds) {
        return SampleCount.nearest(seconds);
    }

    private static Entry<PlacedCue> cue(String number, double length, double gap, Placement placement) {
        return new Entry<>(new PlacedCue(number, placement), seconds(length), seconds(gap), placement);
    }

    private static InSlot slot(double in, double out, Anchor anchor, double offset) {
        return new InSlot(seconds(in), seconds(out), anchor, seconds(offset));
    }

    private static List<Double> starts(Programme<PlacedCue> programme) {
        return programme.clips().stream().map(clip -> clip.start().seconds()).toList();
    }

    @Test
    void cuesFollowStandFixedOrSitInTheirSlots() {
        Programme<PlacedCue> programme = Programme.placed(
                List.of(
                        cue("010", 2.01, 0.5, Placement.FOLLOW),
                        cue("020", 1, 0.5, Placement.FOLLOW),
                        cue("030", 1, 0.5, new Fixed(seconds(10))),
                        cue("040", 1, 0.5, Placement.FOLLOW),
                        cue("050", 2, 0.5, slot(20, 24, Anchor.START, 0.2)),
                        cue("060", 2, 0.5, slot(30, 34, Anchor.MIDDLE, 0)),
                        cue("070", 2.01, 0.5, slot(40, 44, Anchor.END, 0))),
                RATE);
        // 2.51 s is no frame at 25: the next one is
        assertThat(starts(programme)).containsExactly(0.0, 2.52, 10.0, 11.52, 20.2, 31.0, 41.96);
        assertThat(programme.clips().get(6).end().compareTo(seconds(44))).isNegative();
        assertThat(programme.clips().get(1).gap()).isEqualTo(seconds(6.48));
        for (FrameRate rate : FrameRate.ALL) {
            Programme<PlacedCue> framed = Programme.placed(
                    List.of(cue("010", 1.2345, 0.3, Placement.FOLLOW), cue("020", 1, 0, Placement.FOLLOW)), rate);
            long start = framed.clips().get(1).start().samples();
            assertThat(rate.rounded(start, SampleCount.RATE)).isEqualTo(start);
            assertThat(start / 48_000.0 - 1.5345).isBetween(0.0, rate.seconds() / (double) rate.frames());
        }
    }

    private static List<Kind> found(List<Entry<PlacedCue>> cues, Double target) {
        return PlaceCheck.of(
                        Programme.placed(cues, RATE),
                        new Picture(RATE, seconds(0.12), target == null ? null : seconds(target), List.of()))
                .stream()
                .map(PlaceFinding::kind)
                .toList();
    }

    @Test
    void whatDoesNotFitIsFound() {
        assertThat(found(List.of(cue("010", 3, 0.4, slot(0, 4, Anchor.START, 0))), null))
                .isEmpty();
        assertThat(found(List.of(cue("010", 4.1, 0.4, slot(0, 4, Anchor.START, 0))), null))
                .containsExactly(Kind.OVER_SLOT);
        assertThat(found(List.of(cue("010", 3, 0.4, slot(1, 5, Anchor.START, -0.5))), null))
                .containsExactly(Kind.EARLY);
        assertThat(found(
                        List.of(cue("010", 3, 0.4, new Fixed(seconds(0))), cue("020", 1, 0, new Fixed(seconds(2)))),
                        null))
                .containsExactly(Kind.OVERLAP);
        assertThat(found(
                        List.of(cue("010", 1, 0, new Fixed(seconds(5))), cue("020", 1, 0, new Fixed(seconds(2)))),
                        null))
                .containsExactly(Kind.OVERLAP);
        assertThat(found(List.of(cue("010", 1, 0, Placement.FOLLOW), cue("020", 1, 0, Placement.FOLLOW)), null))
                .containsExactly(Kind.GAP);
        assertThat(found(List.of(cue("010", 3, 0.4, Placement.FOLLOW)), 2.0)).containsExactly(Kind.OVER_TARGET);
        assertThat(found(
                        List.of(cue("010", 1, 0.4, slot(0, 4, Anchor.START, 0)), cue("020", 1, 0, Placement.FOLLOW)),
                        null))
                .containsExactly(Kind.NO_SLOT);
        List<PlaceFinding> over = PlaceCheck.of(
                Programme.placed(List.of(cue("040", 4.1, 0.4, slot(0, 4, Anchor.START, 0))), RATE),
                new Picture(RATE, SampleCount.ZERO, null, List.of(new SampleCount[][] {{seconds(62), seconds(64)}})));
        assertThat(over)
                .extracting(PlaceFinding::sentence)
                .containsExactly(
                        "Cue 040 runs 3 frames past its slot. Make it fit, or let the picture follow.",
                        "The picture leaves time at 00:01:02:00 for which there is no cue. Give it one, or "
                                + "remove the slot.");
    }

    @Test
    void whatFitsIsTightenedThenQuickenedThenCut() {
        Spoken spoken = new Spoken(seconds(6), List.of(seconds(0.4), seconds(0.6)), 14);
        assertThat(Fit.into(seconds(6), spoken, SampleCount.ZERO)).isNull();
        Fit pauses = Fit.into(seconds(5.7), spoken, SampleCount.ZERO);
        assertThat(pauses.pacePercent()).isEqualTo(100);
        assertThat(pauses.pausePercent()).isEqualTo(60);
        Fit pace = Fit.into(seconds(5.2), spoken, SampleCount.ZERO);
        assertThat(pace.pausePercent()).isEqualTo(50);
        assertThat(pace.pacePercent()).isBetween(109, 112);
        assertThat(pace.fits()).isTrue();
        Fit cut = Fit.into(seconds(4), spoken, SampleCount.ZERO);
        assertThat(cut.fits()).isFalse();
        // 4.98 s at its tightest for 14 words: 1.02 s over are three words
        assertThat(cut.words()).isEqualTo(3);
        assertThat(Fit.into(seconds(4.7), spoken, seconds(1)).borrowed().seconds())
                .isBetween(0.25, 0.4);
        Fit loose = Fit.loosened(seconds(7), spoken);
        assertThat(loose.length().seconds()).isBetween(6.6, 7.0);
        assertThat(loose.pacePercent()).isGreaterThanOrEqualTo(90);
        assertThat(Fit.loosened(seconds(6), spoken)).isNull();
    }

    @Test
    void spareTimeIsSharedOutToTheSample() {
        Random random = new Random(42);
        for (int round = 0; round < 300; round++) {
            List<Gap> gaps = new ArrayList<>();
            for (int i = 0; i < 1 + random.nextInt(40); i++) {
                gaps.add(new Gap(new SampleCount(random.nextInt(40_000)), random.nextInt(4) == 0));
            }
            SampleCount spare = new SampleCount(random.nextInt(3_000_000));
            SampleCount most = new SampleCount(96_000);
            for (Way way : Way.values()) {
                List<SampleCount> spread = SpareTime.spread(gaps, spare, most, way);
                long grown = 0;
                boolean full = true;
                for (int i = 0; i < gaps.size(); i++) {
                    long more = spread.get(i).minus(gaps.get(i).length()).samples();
                    assertThat(more).isNotNegative();
                    assertThat(spread.get(i).compareTo(most)).isNotPositive();
                    boolean takes = way != Way.SCENES || gaps.get(i).sceneEnds();
                    full &= !takes || spread.get(i).equals(most);
                    grown += more;
                }
                assertThat(grown).isLessThanOrEqualTo(spare.samples());
                assertThat(full || grown == spare.samples())
                        .as(round + " " + way)
                        .isTrue();
            }
        }
    }
}
