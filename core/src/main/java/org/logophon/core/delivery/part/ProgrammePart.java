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

/** The whole programme as one sound file, with a chapter a scene where its format has such. */
public final class ProgrammePart implements Part {

    @Override
    public String id() {
        return "programme";
    }

    @Override
    public String label() {
        return "Whole programme";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        if (delivered.programme().clips().isEmpty()) {
            return List.of();
        }
        String path = "programme." + wishes.format().kind().extension();
        WholeSound whole = WholeSound.of(delivered, sounds);
        Tags tags = WholeSound.tags(delivered, delivered.title(), "", whole.chapters());
        return List.of(SoundFile.of(path, whole::source, wishes.format(), tags, null, sounds));
    }
}
