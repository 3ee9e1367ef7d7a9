package org.logophon.core.delivery.part;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.SoundFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.delivery.WholeSound;
import org.logophon.core.time.coding.ProgrammeCuts;
import org.logophon.core.time.coding.Stretch;
import org.logophon.core.time.coding.Tags;
import org.logophon.core.time.programme.SampleCount;

/** The programme in parts of some minutes, cut between cues: joined they are the whole. */
public final class PiecesPart implements Part {

    @Override
    public String id() {
        return "parts";
    }

    @Override
    public String label() {
        return "Programme in parts";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        WholeSound whole = WholeSound.of(delivered, sounds);
        List<Long> cuts = ProgrammeCuts.of(whole.programme(), SampleCount.ofMillis(wishes.minutes() * 60_000L));
        List<PartFile> files = new ArrayList<>();
        for (int i = 0; i < cuts.size() && whole.source().length() > 0; i++) {
            long from = cuts.get(i);
            long to = i + 1 < cuts.size() ? cuts.get(i + 1) : whole.source().length();
            String number = String.format("%02d", i + 1);
            Tags tags = WholeSound.tags(delivered, delivered.title() + " " + (i + 1), number, List.of());
            files.add(SoundFile.of(
                    "parts/" + number + "." + wishes.format().kind().extension(),
                    () -> new Stretch(WholeSound.of(delivered, sounds).source(), from, to),
                    wishes.format(),
                    tags,
                    null,
                    sounds));
        }
        return files;
    }
}
