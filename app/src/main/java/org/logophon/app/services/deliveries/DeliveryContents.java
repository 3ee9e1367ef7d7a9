package org.logophon.app.services.deliveries;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.logophon.app.services.deliveries.DeliveredFiles.Stored;
import org.logophon.app.services.deliveries.DeliveredProject.ClipSource;
import org.logophon.app.services.deliveries.DeliveredProject.Prepared;
import org.logophon.app.services.page.FileSize;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.time.coding.SoundFormat;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;

/** The contents of a delivery before it is built. */
public final class DeliveryContents {

    /** What a codec makes of a second, near enough. */
    private static final Map<SoundFormat.Kind, Integer> BYTES_A_SECOND = Map.of(
            SoundFormat.Kind.FLAC, 70_000,
            SoundFormat.Kind.MP3, 24_000,
            SoundFormat.Kind.OPUS, 18_500,
            SoundFormat.Kind.M4A, 19_000);

    private static final int SAID_DIGITS = 32;

    private DeliveryContents() {}

    /**
     * A file that will be there.
     *
     * @param length of its sound; empty for text
     * @param size   near enough, for people
     * @param change against the delivery before: {@code new}, {@code changed}, {@code moved}, {@code same}, {@code
     *               gone}; empty where it is only known when it is written
     */
    public record FileLine(String path, String length, String size, String change, String why) {}

    /**
     * @param against   number of the delivery before; null for none
     * @param shortened numbers of cues whose names didn't fit
     */
    public record Contents(
            List<FileLine> lines, Integer against, String size, int files, int wanted, List<String> shortened) {}

    /** @param now prepared with what the choice asks for */
    public static Contents of(Prepared now, Choice choice, Earlier last) {
        Programme<ClipSource> programme = now.programme();
        if (programme.clips().isEmpty()) {
            return new Contents(List.of(), null, FileSize.of(0), 0, 0, List.of());
        }
        Delivered delivered = now.delivered();
        Delivery before = last.delivery();
        Map<String, Stored> earlier = new HashMap<>();
        last.files().stream()
                .filter(file -> !file.entry().change().equals("gone"))
                .forEach(file -> earlier.put(key(file.entry()), file));
        Map<String, PlacedClip<ClipSource>> clips = new HashMap<>();
        programme.clips().forEach(placed -> clips.put(placed.cue().cue().number(), placed));
        Map<String, DeliveredClip> told = new HashMap<>();
        delivered.programme().clips().forEach(placed -> told.put(placed.cue().number(), placed.cue()));
        TextSizes texts = new TextSizes(delivered);
        List<FileLine> lines = new ArrayList<>();
        long bytes = 0;
        for (Part part : choice.chosen()) {
            Map<String, Long> written = sound(part) ? Map.of() : texts.of(part, choice.wishes(), now.names());
            for (PartFile file : part.files(delivered, choice.wishes(), now.names())) {
                PlacedClip<ClipSource> clip = clips.get(file.cue());
                long size = sound(part) ? size(part, file, clip, now, choice) : written.getOrDefault(file.path(), 0L);
                size += clip == null ? 0 : texts.noteBytes(told.get(file.cue()));
                bytes += size;
                Stored was = earlier.remove(file.cue().isEmpty() ? "/" + file.path() : file.cue());
                lines.add(line(
                        file, clip, clip == null ? "" : told.get(file.cue()).voice(), size, was, before != null));
            }
        }
        earlier.values().forEach(gone -> lines.add(new FileLine(gone.entry().path(), "", "", "gone", "")));
        List<String> shortened = programme.clips().stream()
                .filter(placed -> placed.cue().name().shortened())
                .map(placed -> placed.cue().cue().number())
                .toList();
        int wanted = (int) lines.stream()
                .filter(line -> List.of("new", "changed", "").contains(line.change()))
                .count();
        return new Contents(
                lines, before == null ? null : before.ordinal(), FileSize.of(bytes), lines.size(), wanted, shortened);
    }

    private static String key(Manifest.Entry file) {
        return file.cue().isEmpty() ? "/" + file.path() : file.cue();
    }

    private static FileLine line(
            PartFile file, PlacedClip<ClipSource> clip, String voice, long size, Stored was, boolean compared) {
        String length = clip == null ? "" : seconds(clip.length());
        if (!compared) {
            return new FileLine(file.path(), length, FileSize.of(size), "", "");
        }
        if (was == null) {
            return new FileLine(file.path(), length, FileSize.of(size), "new", "");
        }
        if (clip == null) {
            return new FileLine(file.path(), length, FileSize.of(size), "", "");
        }
        ClipSource made = clip.cue();
        String why = why(made, voice, was, file.path());
        String change =
                !why.isEmpty() ? "changed" : was.entry().start() == clip.start().samples() ? "same" : "moved";
        return new FileLine(file.path(), length, FileSize.of(size), change, why);
    }

    private static String why(ClipSource made, String voice, Stored was, String path) {
        if (!Sha256.hex(made.take().text())
                .substring(0, SAID_DIGITS)
                .equals(was.entry().said())) {
            return "words";
        }
        if (!voice.equals(was.entry().voice())) {
            return "voice";
        }
        String difference = MadeOf.difference(made.madeOf(), was.madeOf());
        if (!difference.isEmpty()) {
            return difference;
        }
        return path.equals(was.entry().path()) ? "" : "name";
    }

    private static String seconds(SampleCount length) {
        return "%.2f s".formatted(length.seconds());
    }

    private static boolean sound(Part part) {
        return List.of("clips", "programme", "parts", "audiobook", "bed").contains(part.id());
    }

    /** Of sound, reckoned. */
    private static long size(Part part, PartFile file, PlacedClip<ClipSource> clip, Prepared now, Choice choice) {
        SampleCount length = clip != null
                ? clip.length()
                : part.id().equals("parts")
                        ? part(file, part, now, choice)
                        : now.delivered().programme().length();
        SoundFormat.Kind kind = part.id().equals("audiobook")
                ? SoundFormat.Kind.M4A
                : choice.sound().kind();
        return kind == SoundFormat.Kind.WAV
                ? Math.round(length.seconds() * choice.rate() * choice.bits() / 8) + 654
                : Math.round(length.seconds() * BYTES_A_SECOND.get(kind));
    }

    private static SampleCount part(PartFile file, Part part, Prepared now, Choice choice) {
        int parts = part.files(now.delivered(), choice.wishes(), now.names()).size();
        return new SampleCount(now.delivered().programme().length().samples() / Math.max(1, parts));
    }
}
