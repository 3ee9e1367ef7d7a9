package org.logophon.core.voice.recording;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.logophon.core.input.InvalidInput;

/**
 * The cleaning of a recording, each part by itself; zeros are off.
 *
 * @param noiseDb    how much the room's noise is taken down, 0–30 dB
 * @param humHz      50 or 60: the mains' hum and its overtones taken out; 0 for none
 * @param rumble     true for what is under the voice taken out
 * @param clicks     true for single clicks mended
 * @param clipped    true for what stood at the limit rounded again
 * @param longestGap seconds: longer gaps are made so long; 0 for leaving them
 */
public record Cleaning(double noiseDb, int humHz, boolean rumble, boolean clicks, boolean clipped, double longestGap) {

    public static final Cleaning NONE = new Cleaning(0, 0, false, false, false, 0);

    public static final int MOST_DB = 30;
    /** Seconds that gaps are shortened to. */
    public static final double SHORTEST_GAP = 0.15;

    public static final int LONGEST_GAP = 10;

    public Cleaning {
        if (!(noiseDb >= 0 && noiseDb <= MOST_DB)) {
            throw new InvalidInput("Room noise is taken down by 0 to " + MOST_DB + " dB.");
        }
        if (humHz != 0 && humHz != 50 && humHz != 60) {
            throw new InvalidInput("Mains hum is at 50 or at 60 Hz.");
        }
        if (longestGap != 0 && !(longestGap >= SHORTEST_GAP && longestGap <= LONGEST_GAP)) {
            throw new InvalidInput("Long gaps are shortened to " + SHORTEST_GAP + " to " + LONGEST_GAP + " s.");
        }
    }

    public boolean nothing() {
        return equals(NONE);
    }

    /** In words, as "room noise 12 dB down, 50 Hz hum out". */
    public String words() {
        List<String> said = new ArrayList<>();
        if (noiseDb > 0) {
            said.add(String.format(Locale.ROOT, "noise reduced by %.0f dB", noiseDb));
        }
        if (humHz > 0) {
            said.add(humHz + " Hz hum removed");
        }
        if (rumble) {
            said.add("rumble removed");
        }
        if (clicks) {
            said.add("clicks removed");
        }
        if (clipped) {
            said.add("clipping repaired");
        }
        if (longestGap > 0) {
            said.add(String.format(Locale.ROOT, "pauses to %.2f s", longestGap));
        }
        return String.join(", ", said);
    }
}
