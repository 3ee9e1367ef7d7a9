package org.logophon.app.services.deliveries;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.logophon.core.delivery.ClipNote;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;

/**
 * The estimated sizes of a delivery's texts: those of its first clips are written, and the others are taken to be like
 * them. A page that is looked at while hours of narration are rendered has no time to write them all.
 */
final class TextSizes {

    private static final int WRITTEN = 40;

    private final Delivered first;
    private final double times;
    private final long noteAround;

    TextSizes(Delivered whole) {
        List<PlacedClip<DeliveredClip>> all = whole.programme().clips();
        List<PlacedClip<DeliveredClip>> some = all.subList(0, Math.min(WRITTEN, all.size()));
        Set<String> numbers = some.stream().map(placed -> placed.cue().number()).collect(Collectors.toSet());
        this.first = new Delivered(
                whole.title(),
                whole.language(),
                whole.rate(),
                whole.start(),
                new Programme<>(some),
                whole.notes().stream()
                        .filter(note -> numbers.contains(note.number()))
                        .toList(),
                whole.readings());
        this.times = all.size() / (double) some.size();
        DeliveredClip one = some.get(0).cue();
        this.noteAround = ClipNote.of(one, whole.language())
                .map(note -> 8L + bytes(note.xml()) - bytes(one.text()))
                .orElse(0L);
    }

    /** By path. What has a second file for many clips is told with its first. */
    Map<String, Long> of(Part part, DeliveryOptions wishes, Sounds names) {
        Map<String, Long> sizes = new HashMap<>();
        for (PartFile file : part.files(first, wishes, names)) {
            Counted counted = new Counted();
            try {
                file.content().write(counted);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            sizes.put(file.path(), Math.round(counted.bytes * times));
        }
        return sizes;
    }

    /** What a clip carries of its cue, near enough. */
    long noteBytes(DeliveredClip clip) {
        return noteAround + bytes(clip.text());
    }

    private static long bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8).length;
    }

    /** Keeps nothing. */
    private static final class Counted extends OutputStream {
        private long bytes;

        @Override
        public void write(int one) {
            bytes++;
        }

        @Override
        public void write(byte[] some, int from, int count) {
            bytes += count;
        }
    }
}
