package org.logophon.core.direction.style;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A way of speaking, at full strength. Where it has a counterpart among the emotions of Murray and Arnott's summary
 * (JASA 93, 1993, table 1), pace, pitch, range and loudness go in the directions that it gives; how far is ours.
 *
 * <p>The table as recalled, its entries unverified: happiness is higher, wider and louder; fear faster, higher and
 * wider at normal loudness; anger slightly faster, higher, wider and louder; sadness slightly slower, slightly lower,
 * slightly narrower and quieter.
 */
public enum Style {
    /** Ours, without a counterpart. */
    CALM(94, -0.5, 85, -0.5, 115),
    /** After happiness. */
    BRIGHT(103, 2, 135, 1, 95),
    /** After fear. */
    URGENT(116, 2.5, 130, 0, 75),
    /** Ours, without a counterpart. */
    GRAVE(88, -1.5, 90, 0, 125),
    /** Ours, without a counterpart. */
    CONFIDING(94, -0.5, 80, -3, 110),
    /** After anger. */
    STERN(103, 1.5, 130, 2, 90),
    /** Ours, without a counterpart. */
    TENDER(92, 0.5, 90, -2, 115),
    /** After sadness. */
    WEARY(88, -1, 80, -2, 130);

    private final double pacePercent;
    private final double semitones;
    private final double rangePercent;
    private final double loudnessDb;
    private final double pausePercent;

    Style(double pacePercent, double semitones, double rangePercent, double loudnessDb, double pausePercent) {
        this.pacePercent = pacePercent;
        this.semitones = semitones;
        this.rangePercent = rangePercent;
        this.loudnessDb = loudnessDb;
        this.pausePercent = pausePercent;
    }

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** One of ours; empty when the name is none of them: a hired voice may have more. */
    public static Optional<Style> named(String name) {
        return Arrays.stream(values()).filter(style -> style.id().equals(name)).findFirst();
    }

    /** All names, for a sentence. */
    public static String words() {
        return Arrays.stream(values()).map(Style::id).collect(Collectors.joining(", "));
    }

    /** @param percent strength, 0–100; what multiplies is taken to its power, so that half twice is the whole */
    public double paceFactor(int percent) {
        return Math.pow(pacePercent / 100, percent / 100.0);
    }

    public double semitones(int percent) {
        return semitones * percent / 100;
    }

    public double rangeFactor(int percent) {
        return Math.pow(rangePercent / 100, percent / 100.0);
    }

    public double loudnessDb(int percent) {
        return loudnessDb * percent / 100;
    }

    public double pauseFactor(int percent) {
        return Math.pow(pausePercent / 100, percent / 100.0);
    }
}
