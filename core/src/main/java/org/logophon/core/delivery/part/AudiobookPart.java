package org.logophon.core.delivery.part;

import java.util.List;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.SoundFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.delivery.WholeSound;
import org.logophon.core.time.coding.SoundFormat;
import org.logophon.core.time.coding.Tags;

/** An audiobook: AAC in an MPEG-4 file, a chapter a scene. */
public final class AudiobookPart implements Part {

    private static final SoundFormat FORMAT = new SoundFormat(SoundFormat.Kind.M4A, 48_000, 24);

    @Override
    public String id() {
        return "audiobook";
    }

    @Override
    public String label() {
        return "Audiobook";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        if (delivered.programme().clips().isEmpty()) {
            return List.of();
        }
        WholeSound whole = WholeSound.of(delivered, sounds);
        Tags tags = WholeSound.tags(delivered, delivered.title(), "", whole.chapters());
        return List.of(SoundFile.of("audiobook.m4b", whole::source, FORMAT, tags, null, sounds));
    }
}
