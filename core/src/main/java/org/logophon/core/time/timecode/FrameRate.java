package org.logophon.core.time.timecode;

import java.math.BigInteger;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.logophon.core.input.InvalidInput;

/**
 * Frames a second as an exact fraction, and how they are counted (SMPTE ST 12-1).
 *
 * @param frames  in so many
 * @param seconds over 0
 * @param drop    true when timecode leaves frame numbers out, so that it keeps up with the clock
 */
public record FrameRate(int frames, int seconds, boolean drop) {

    private static final int NTSC = 1_001;
    private static final int MINUTES_AN_HOUR = 60;
    private static final int HOURS = 24;

    /** What a project counts in until somebody says otherwise. */
    public static final FrameRate DEFAULT = new FrameRate(25, 1, false);

    /** Every rate that a project can have. */
    public static final List<FrameRate> ALL = List.of(
            new FrameRate(24_000, NTSC, false),
            new FrameRate(24, 1, false),
            DEFAULT,
            new FrameRate(30_000, NTSC, false),
            new FrameRate(30_000, NTSC, true),
            new FrameRate(30, 1, false),
            new FrameRate(48_000, NTSC, false),
            new FrameRate(48, 1, false),
            new FrameRate(50, 1, false),
            new FrameRate(60_000, NTSC, false),
            new FrameRate(60_000, NTSC, true),
            new FrameRate(60, 1, false));

    public FrameRate {
        if (frames <= 0 || seconds <= 0) {
            throw new IllegalArgumentException("A frame rate is over nothing, not " + frames + "/" + seconds + ".");
        }
        if (drop && (seconds != NTSC || (frames + seconds - 1) / seconds % 30 != 0)) {
            throw new IllegalArgumentException("Only 29.97 and 59.94 leave frame numbers out.");
        }
    }

    /**
     * As people and files write it: {@code 25}, {@code 23.976}, {@code 29.97df}.
     *
     * @throws InvalidInput with a sentence that names those that there are
     */
    public static FrameRate named(String name) {
        String wanted = name.strip().toLowerCase(Locale.ROOT).replace(" ", "");
        return ALL.stream()
                .filter(rate -> rate.id().equals(wanted) || (rate.id() + "ndf").equals(wanted) && rate.hasDrop())
                .findFirst()
                .orElseThrow(
                        () -> new InvalidInput("There is no frame rate \"" + name.strip() + "\". Those that there are: "
                                + ALL.stream().map(FrameRate::id).collect(Collectors.joining(", ")) + "."));
    }

    private boolean hasDrop() {
        return !drop && ALL.contains(new FrameRate(frames, seconds, false)) && seconds == NTSC && counted() % 30 == 0;
    }

    /** {@code 29.97df}. */
    public String id() {
        double value = frames / (double) seconds;
        String number = seconds == 1
                ? Integer.toString(frames)
                : counted() == 24 ? "23.976" : String.format(Locale.ROOT, "%.2f", value);
        return (counted() == 48 && seconds != 1 ? "47.952" : number) + (drop ? "df" : "");
    }

    /** For people. */
    public String label() {
        return id().replace("df", "") + (drop ? ", drop-frame" : hasDrop() ? ", non-drop" : "");
    }

    /** Frames that one second of timecode counts. */
    public int counted() {
        return (frames + seconds - 1) / seconds;
    }

    /** Frame numbers that are left out each minute but the tenth. */
    int dropped() {
        return drop ? counted() / 15 : 0;
    }

    /** Frames that timecode counts in an hour; in drop-frame 107,892 at 29.97. */
    public long framesAnHour() {
        return (long) counted() * MINUTES_AN_HOUR * 60 - (long) dropped() * (MINUTES_AN_HOUR - MINUTES_AN_HOUR / 10);
    }

    /** After so many frames timecode begins again. */
    public long framesADay() {
        return framesAnHour() * HOURS;
    }

    /**
     * The frame that is seen while a sample sounds.
     *
     * @param rate samples a second
     */
    public long frameAt(long sample, int rate) {
        return floor(sample, frames, (long) rate * seconds);
    }

    /** The first sample of a frame: at it or, where it falls between two, after it. */
    public long firstSample(long frame, int rate) {
        return -floor(-frame, (long) rate * seconds, frames);
    }

    /** The same sample where a frame starts with it, else the first one of the next frame. */
    public long rounded(long sample, int rate) {
        long frame = frameAt(sample, rate);
        long first = firstSample(frame, rate);
        return first >= sample ? first : firstSample(frame + 1, rate);
    }

    private static long floor(long count, long times, long by) {
        long high = Math.multiplyHigh(count, times);
        long low = count * times;
        if (high == 0 && low >= 0 || high == -1 && low < 0) {
            return Math.floorDiv(low, by);
        }
        BigInteger[] parts = BigInteger.valueOf(count)
                .multiply(BigInteger.valueOf(times))
                .divideAndRemainder(BigInteger.valueOf(by));
        return parts[0].longValueExact() - (parts[1].signum() < 0 ? 1 : 0);
    }

    /** Timecode of the frame that is seen while a sample sounds. */
    public String timecode(long sample, int rate) {
        return Timecode.written(frameAt(sample, rate), this);
    }
}
