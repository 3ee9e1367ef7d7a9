package org.logophon.core.delivery.part;

import java.util.List;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.SoundFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.delivery.WholeSound;
import org.logophon.core.time.coding.Tags;

/** Sounds and beds as one file that begins with the programme, to lie under the clips. */
public final class BedPart implements Part {

    @Override
    public String id() {
        return "bed";
    }

    @Override
    public String label() {
        return "Sounds and beds as a file";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        if (sounds.layer() == null) {
            return List.of();
        }
        Tags tags = new Tags("Sounds and beds", delivered.title(), "", "", "", List.of());
        return List.of(SoundFile.of(
                file(wishes), () -> WholeSound.layer(delivered, sounds), wishes.format(), tags, null, sounds));
    }

    static String file(DeliveryOptions wishes) {
        return "bed." + wishes.format().kind().extension();
    }
}
