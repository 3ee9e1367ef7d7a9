package org.logophon.core.direction.style;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A way of speaking by its everyday name, at full strength. Where it has a counterpart among the emotions of Murray and
 * Arnott's summary (JASA 93, 1993, table 1), pace, pitch, range and loudness go in the directions that it gives; how
 * far is ours. So are all the others.
 *
 * <p>The table as recalled, its entries unverified: happiness is higher, wider and louder; fear faster, higher and
 * wider at normal loudness; anger slightly faster, higher, wider and louder; sadness slightly slower, slightly lower,
 * slightly narrower and quieter.
 */
public enum Style {
    /** After happiness. */
    HAPPY(103, 2, 135, 1, 95, "bright"),
    EXCITED(116, 2.5, 130, 0, 75, "urgent"),
    FRIENDLY(101, 1, 115, 0.5, 95),
    CALM(94, -0.5, 85, -0.5, 115),
    SERIOUS(88, -1.5, 90, 0, 125, "grave"),
    /** After sadness. */
    SAD(88, -1, 80, -2, 130, "weary"),
    /** After anger. */
    ANGRY(103, 1.5, 130, 2, 90, "stern"),
    /** After fear. */
    AFRAID(110, 3, 120, 0, 80),
    TENDER(92, 0.5, 90, -2, 115),
    SARCASTIC(90, -1, 140, -0.5, 110),
    /** Without voice from half of its strength on. */
    WHISPERING(92, 0, 100, -4, 115),
    SHOUTING(102, 3, 140, 6, 90),
    STORYTELLER(93, 0.5, 125, 0, 120),
    NEWSREADER(105, -0.5, 110, 0.5, 90),
    TEACHER(90, 0.5, 115, 1, 115),
    TRAILER(85, -3, 100, 1.5, 130),
    /** Of before, without an everyday name: understood, and not offered. */
    CONFIDING(94, -0.5, 80, -3, 110);

    private static final int WHISPERS_FROM = 50;

    private final double pacePercent;
    private final double semitones;
    private final double rangePercent;
    private final double loudnessDb;
    private final double pausePercent;
    private final String earlier;

    Style(double pacePercent, double semitones, double rangePercent, double loudnessDb, double pausePercent) {
        this(pacePercent, semitones, rangePercent, loudnessDb, pausePercent, "");
    }

    Style(
            double pacePercent,
            double semitones,
            double rangePercent,
            double loudnessDb,
            double pausePercent,
            String earlier) {
        this.pacePercent = pacePercent;
        this.semitones = semitones;
        this.rangePercent = rangePercent;
        this.loudnessDb = loudnessDb;
        this.pausePercent = pausePercent;
        this.earlier = earlier;
    }

    /** Those that are offered. */
    public static List<Style> offered() {
        return Arrays.stream(values()).filter(style -> style != CONFIDING).toList();
    }

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** For a recipe: the name under which it sounds as it does, whatever it is called today. */
    public String canonical() {
        return earlier.isEmpty() ? id() : earlier;
    }

    /** One of ours, by its name or an earlier one; empty when it is none of them: a hired voice may have more. */
    public static Optional<Style> named(String name) {
        return Arrays.stream(values())
                .filter(style -> style.id().equals(name) || !name.isEmpty() && style.earlier.equals(name))
                .findFirst();
    }

    /** All names, for a sentence. */
    public static String words() {
        return offered().stream().map(Style::id).collect(Collectors.joining(", "));
    }

    /** True where the voice itself is left out. @param percent strength */
    public boolean whispered(int percent) {
        return this == WHISPERING && percent >= WHISPERS_FROM;
    }

    /** @param percent strength, 0–200; what multiplies is taken to its power, so that half twice is the whole */
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
