package org.logophon.cli.narrate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.logophon.cli.input.InputUnusable;
import org.logophon.cli.input.UnusableOption;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.part.BedPart;
import org.logophon.core.delivery.part.CaptionsPart;
import org.logophon.core.delivery.part.ClipsPart;
import org.logophon.core.delivery.part.Parts;
import org.logophon.core.delivery.part.PiecesPart;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.bed.Bed;
import org.logophon.core.time.coding.SoundFormat;
import picocli.CommandLine.Option;

/** What is delivered, and how. */
final class DeliverOptions {

    @Option(
            names = "--deliver",
            paramLabel = "PARTS",
            split = ",",
            description = "What is written: clips, programme, parts:MINUTES, audiobook, bed, captions, words, "
                    + "timeline, markers, sheet, mouth, script.")
    private List<String> parts;

    @Option(names = "--format", paramLabel = "wav|flac|mp3|opus|m4a", description = "Format of sound files (wav).")
    private String format;

    @Option(names = "--rate", paramLabel = "HERTZ", description = "44100, 48000 or 96000 (48000).")
    private Integer rate;

    @Option(names = "--bits", paramLabel = "BITS", description = "16, 24 or 32 (24).")
    private Integer bits;

    @Option(
            names = "--captions",
            paramLabel = "KINDS",
            split = ",",
            description = "Kinds of caption files: srt, vtt, ttml, words (srt,vtt).")
    private List<String> captions;

    @Option(
            names = "--since",
            paramLabel = "FOLDER",
            description = "An earlier delivery: only what has changed since is written.")
    private Path since;

    @Option(
            names = "--title",
            paramLabel = "TITLE",
            description = "Of the programme; it is spoken first, with how long the programme runs.")
    private String title;

    @Option(
            names = "--bed",
            paramLabel = "FILE",
            description =
                    "A sound under the programme, again and again: in what is one sound, and as the part \"bed\".")
    private Path bed;

    @Option(names = "--bed-level", paramLabel = "DB", description = "Of the bed under the voice (-18).")
    private Double bedLevel;

    @Option(names = "--bed-rise", paramLabel = "DB", description = "That it is louder while nobody speaks (6).")
    private Double bedRise;

    @Option(names = "--bed-in-clips", description = "The bed is heard in the clips as well.")
    private boolean bedInClips;

    /**
     * A delivery as it is wished for.
     *
     * @param since null for none
     * @param title empty for none
     * @param bed   null for none
     */
    record Deliver(List<Part> parts, DeliveryOptions wishes, Manifest since, String title, BedFile bed) {}

    /** A sound file that lies under the whole programme. */
    record BedFile(Path file, Bed.Settings settings) {}

    private BedFile bedFile() {
        if (bed == null) {
            if (bedLevel != null || bedRise != null || bedInClips) {
                throw new UnusableOption(
                        "--bed-level, --bed-rise and --bed-in-clips go with --bed: name a sound file.");
            }
            return null;
        }
        if (!Files.isRegularFile(bed)) {
            throw new InputUnusable("There is no file " + bed + ". Name a sound file for --bed.");
        }
        return new BedFile(
                bed,
                new Bed.Settings(
                        true,
                        2_000,
                        3_000,
                        bedLevel == null ? Bed.USUAL_LEVEL_DB : bedLevel,
                        bedRise == null ? 6 : bedRise));
    }

    /** @return null when nothing was asked for. @throws UnusableOption with a sentence */
    Deliver read() throws IOException {
        if (parts == null) {
            if (format != null
                    || rate != null
                    || bits != null
                    || captions != null
                    || since != null
                    || title != null
                    || bed != null) {
                throw new UnusableOption("--format, --rate, --bits, --captions, --since, --title and --bed go with "
                        + "--deliver: say what is to be written, as in --deliver clips,sheet.");
            }
            return null;
        }
        try {
            int minutes = DeliveryOptions.USUAL.minutes();
            List<Part> chosen = new ArrayList<>();
            for (String wish : parts) {
                String name = wish.strip();
                if (name.startsWith("parts")) {
                    minutes = minutes(name);
                    name = new PiecesPart().id();
                }
                String id = name;
                chosen.add(Parts.find(id)
                        .orElseThrow(() -> new UnusableOption("--deliver doesn't know \"" + id + "\". It takes "
                                + String.join(
                                        ", ", Parts.ALL.stream().map(Part::id).toList()) + ".")));
            }
            SoundFormat sound = new SoundFormat(
                    format == null ? SoundFormat.Kind.WAV : SoundFormat.kind(format),
                    rate == null ? SoundFormat.USUAL.rate() : rate,
                    bits == null ? SoundFormat.USUAL.bits() : bits);
            return new Deliver(
                    chosen,
                    new DeliveryOptions(
                            sound,
                            kinds(),
                            minutes,
                            chosen.stream().anyMatch(part -> part instanceof BedPart),
                            bedInClips),
                    earlier(),
                    title == null ? "" : title.strip(),
                    bedFile());
        } catch (InvalidInput wrong) {
            throw new UnusableOption(wrong.getMessage());
        }
    }

    private static int minutes(String wish) {
        try {
            return Integer.parseInt(wish.substring("parts".length()).replaceFirst("^:", ""));
        } catch (NumberFormatException none) {
            throw new UnusableOption("\"" + wish + "\" says no minutes: write it as parts:5.");
        }
    }

    private Set<String> kinds() {
        if (captions == null) {
            return DeliveryOptions.USUAL.captions();
        }
        Set<String> kinds = new LinkedHashSet<>();
        for (String kind : captions) {
            if (!CaptionsPart.KINDS.contains(kind.strip())) {
                throw new UnusableOption("--captions doesn't know \"" + kind.strip() + "\". It takes "
                        + String.join(", ", CaptionsPart.KINDS) + ".");
            }
            kinds.add(kind.strip());
        }
        return kinds;
    }

    private Manifest earlier() throws IOException {
        if (since == null) {
            return null;
        }
        Path file = since.resolve(Manifest.FILE);
        if (!Files.isRegularFile(file)) {
            throw new InputUnusable(
                    "There is no " + Manifest.FILE + " in " + since + ". Choose the folder of an earlier delivery.");
        }
        return Manifest.read(Files.readString(file));
    }

    /** Of the names of clips, without its dot. */
    static String extension(Deliver deliver) {
        return deliver == null ? "wav" : deliver.wishes().format().kind().extension();
    }

    /** True when clips are among what is delivered. */
    static boolean clips(Deliver deliver) {
        return deliver == null || deliver.parts().stream().anyMatch(ClipsPart.class::isInstance);
    }
}
