package org.logophon.cli.narrate;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;
import org.logophon.cli.input.UnusableOption;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.picture.PictureTimes;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;
import picocli.CommandLine.Option;

/** The picture that clips are placed to. */
final class PictureOptions {

    private static final long MOST_BYTES = 8_000_000;

    @Option(
            names = "--fps",
            paramLabel = "RATE",
            description = "Frames a second that clips start on: 23.976, 24, 25, 29.97, 29.97df, 30, … 60.")
    private String fps;

    @Option(
            names = "--start",
            paramLabel = "TIMECODE",
            description = "Timecode of the programme's first frame, as 10:00:00:00 (00:00:00:00).")
    private String start;

    @Option(
            names = "--slots",
            paramLabel = "FILE",
            description =
                    "Times that the picture leaves: EDL, OpenTimelineIO, SRT, WebVTT, CSV, or a list of timecodes.")
    private Path slots;

    @Option(names = "--fit", description = "Tighten and quicken what runs past its slot, within comfort.")
    private boolean fit;

    /**
     * What was asked for.
     *
     * @param start in frames
     * @param slots none without a file
     */
    record Picture(FrameRate rate, long start, List<PictureSlot> slots, boolean fit) {

        String timecode(long samples) {
            return Timecode.written(start + rate.frameAt(samples, 48_000), rate);
        }
    }

    /** @return null when nothing was asked for. @throws InvalidInput with a sentence when something can't be used */
    Picture read() throws IOException {
        if (fps == null && start == null && slots == null && !fit) {
            return null;
        }
        FrameRate rate = option("--fps", () -> fps == null ? FrameRate.DEFAULT : FrameRate.named(fps));
        long first = option(
                "--start",
                () -> start == null ? 0 : Timecode.typed(start, rate, 0).frame());
        if (slots == null) {
            if (fit) {
                throw new UnusableOption("--fit needs to know what to fit into: name a file of times with --slots.");
            }
            return new Picture(rate, first, List.of(), false);
        }
        if (!Files.isReadable(slots) || Files.size(slots) > MOST_BYTES) {
            throw new InvalidInput(slots + " can't be read, or is far larger than any list of times.");
        }
        String text = new String(Files.readAllBytes(slots), StandardCharsets.UTF_8);
        try {
            return new Picture(
                    rate,
                    first,
                    PictureTimes.read(slots.getFileName().toString(), text, rate, first)
                            .slots(),
                    fit);
        } catch (InvalidInput wrong) {
            throw new InvalidInput(slots.getFileName() + ": " + wrong.getMessage());
        }
    }

    private static <T> T option(String name, Supplier<T> value) {
        try {
            return value.get();
        } catch (InvalidInput wrong) {
            throw new UnusableOption(name + ": " + wrong.getMessage());
        }
    }
}
