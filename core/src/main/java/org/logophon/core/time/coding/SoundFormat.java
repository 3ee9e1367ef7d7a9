package org.logophon.core.time.coding;

import java.util.List;
import java.util.Locale;
import org.logophon.core.input.InvalidInput;

/**
 * The format of a sound file.
 *
 * @param rate samples a second
 * @param bits of a sample, where the format has such: 16, 24, or 32 for floating point
 */
public record SoundFormat(Kind kind, int rate, int bits) {

    private static final List<Integer> RATES = List.of(44_100, 48_000, 96_000);
    private static final List<Integer> BITS = List.of(16, 24, 32);

    /** Broadcast Wave as video editors take it: common practice, no source. */
    public static final SoundFormat USUAL = new SoundFormat(Kind.WAV, 48_000, 24);

    /** Formats by their usual names. */
    public enum Kind {
        WAV("wav", false),
        FLAC("flac", false),
        MP3("mp3", true),
        OPUS("opus", true),
        M4A("m4a", true);

        private final String extension;
        private final boolean lossy;

        Kind(String extension, boolean lossy) {
            this.extension = extension;
            this.lossy = lossy;
        }

        /** Of its files, without the dot. */
        public String extension() {
            return extension;
        }

        /** True when what is decoded isn't what was coded. */
        public boolean lossy() {
            return lossy;
        }
    }

    public SoundFormat {
        if (!RATES.contains(rate)) {
            throw new InvalidInput("A sound has 44100, 48000 or 96000 samples a second, not " + rate + ".");
        }
        if (!BITS.contains(bits)) {
            throw new InvalidInput("A sample has 16, 24 or 32 bits, not " + bits + ".");
        }
        if (kind == Kind.OPUS && rate != 48_000) {
            throw new InvalidInput(
                    "Opus always has 48000 samples a second. Leave the rate out, or choose another format.");
        }
        if (kind == Kind.MP3 && rate == 96_000) {
            throw new InvalidInput("MP3 has 48000 samples a second at most. Choose a lower rate, or another format.");
        }
        if (kind == Kind.FLAC && bits == 32) {
            throw new InvalidInput("FLAC is written with 16 or 24 bits. Choose one of these, or WAV.");
        }
    }

    /** @throws InvalidInput with a sentence for a format that there isn't */
    public static Kind kind(String name) {
        for (Kind kind : Kind.values()) {
            if (kind.extension.equals(name.toLowerCase(Locale.ROOT))) {
                return kind;
            }
        }
        throw new InvalidInput("There is no format \"" + name + "\". Choose one of wav, flac, mp3, opus and m4a.");
    }
}
