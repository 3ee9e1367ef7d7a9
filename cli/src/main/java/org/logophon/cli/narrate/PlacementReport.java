package org.logophon.cli.narrate;

import org.logophon.cli.input.ScriptFile;
import org.logophon.cli.narrate.NarrationReport.FindingEntry;
import org.logophon.cli.narrate.NarrationReport.InPicture;
import org.logophon.cli.narrate.NarrationReport.SlotEntry;
import org.logophon.cli.narrate.PictureOptions.Picture;
import org.logophon.core.time.place.PlaceCheck.PlacedCue;
import org.logophon.core.time.place.PlaceFinding;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;

/** What is reported of where clips stand in the picture, and of what doesn't fit it. */
final class PlacementReport {

    private final Placing placing;
    private final Picture picture;
    private final Outcome outcome;

    PlacementReport(Placing placing, Outcome outcome) {
        this.placing = placing;
        this.picture = placing.picture();
        this.outcome = outcome;
    }

    /** A clip's place; null without a picture. */
    InPicture of(PlacedClip<MadeClip> placed) {
        if (picture == null) {
            return null;
        }
        InSlot slot = placing.placement(placed.cue().index()) instanceof InSlot in ? in : null;
        long after = picture.rate().rounded(placed.end().samples(), SampleCount.RATE);
        return new InPicture(
                picture.timecode(placed.start().samples()),
                picture.timecode(after),
                placed.start().samples(),
                slot == null
                        ? null
                        : new SlotEntry(
                                picture.timecode(slot.in().samples()),
                                picture.timecode(slot.out().samples())),
                slot == null
                        ? null
                        : picture.rate().frameAt(slot.out().samples(), SampleCount.RATE)
                                - picture.rate().frameAt(after, SampleCount.RATE));
    }

    /** Every finding, as an entry and as a warning; none without a picture. */
    void findings(Programme<MadeClip> programme, ScriptFile file) {
        if (picture == null) {
            return;
        }
        outcome.findings();
        Programme<PlacedCue> checked =
                programme.with(made -> new PlacedCue(made.clip().number(), placing.placement(made.index())));
        for (PlaceFinding finding : placing.findings(checked)) {
            String number = finding.index() < 0
                    ? null
                    : checked.clips().get(finding.index()).cue().number();
            outcome.finding(new FindingEntry(finding.kind().id(), number, finding.frames(), finding.sentence()));
            outcome.warning(file.name() + ": " + finding.sentence());
        }
    }
}
