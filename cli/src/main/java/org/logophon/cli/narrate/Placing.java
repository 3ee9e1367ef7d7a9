package org.logophon.cli.narrate;

import java.util.ArrayList;
import java.util.List;
import org.logophon.cli.narrate.PictureOptions.Picture;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;
import org.logophon.core.time.picture.SlotMatch;
import org.logophon.core.time.place.PlaceCheck;
import org.logophon.core.time.place.PlaceCheck.PlacedCue;
import org.logophon.core.time.place.PlaceFinding;
import org.logophon.core.time.programme.Placement;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.SampleCount;

/** Slots of the picture for the cues of one script, and what they say of the clips. */
final class Placing {

    private final Picture picture;
    private final PictureSlot[] ofCue;
    private final List<SampleCount[]> empty = new ArrayList<>();

    /** @param picture null for none */
    Placing(Picture picture, List<String> numbers, List<String> texts) {
        this.picture = picture;
        this.ofCue = new PictureSlot[numbers.size()];
        if (picture == null) {
            return;
        }
        List<SlotMatch.Cue> cues = new ArrayList<>();
        for (int i = 0; i < ofCue.length; i++) {
            cues.add(new SlotMatch.Cue(numbers.get(i), texts.get(i)));
        }
        for (SlotMatch.Match match : SlotMatch.of(picture.slots(), cues)) {
            if (match.cue() >= 0) {
                ofCue[match.cue()] = match.slot();
            } else {
                empty.add(new SampleCount[] {match.slot().in(), match.slot().out()});
            }
        }
    }

    boolean fits() {
        return picture != null && picture.fit();
    }

    Picture picture() {
        return picture;
    }

    /** The time that the picture leaves for a cue; null for none. */
    SampleCount slot(int cue) {
        return ofCue[cue] == null ? null : ofCue[cue].out().minus(ofCue[cue].in());
    }

    Placement placement(int cue) {
        PictureSlot slot = ofCue[cue];
        return slot == null ? Placement.FOLLOW : new InSlot(slot.in(), slot.out(), Anchor.START, SampleCount.ZERO);
    }

    List<PlaceFinding> findings(Programme<PlacedCue> programme) {
        return PlaceCheck.of(programme, new PlaceCheck.Picture(picture.rate(), SampleCount.ZERO, null, empty));
    }
}
