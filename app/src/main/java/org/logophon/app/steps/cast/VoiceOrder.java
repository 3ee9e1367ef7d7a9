package org.logophon.app.steps.cast;

import java.util.Comparator;
import java.util.function.Function;
import org.logophon.core.voice.figures.VoiceFigures;

/** An order of the list of voices. */
enum VoiceOrder {
    /** Where nobody measured it, what is made of a person's recordings comes before what is computed. */
    CLEAREST(
            "the clearest first",
            Comparator.comparingInt((VoiceRow row) ->
                            row.clearness() == null ? 0 : -row.clearness().percent())
                    .thenComparing(row -> row.voice().making())),
    NAME("name", Comparator.comparing(row -> row.voice().name())),
    DEEPEST("the deepest first", by(VoiceFigures::medianPitchHz)),
    SLOWEST("the slowest first", by(VoiceFigures::wordsPerMinute)),
    LIVELIEST(
            "the liveliest first",
            by(figures -> figures.pitchRangeSemitones() == null ? null : -figures.pitchRangeSemitones())),
    BRIGHTEST("the brightest first", by(figures -> -figures.brightnessHz()));

    private final String title;
    private final Comparator<VoiceRow> comparator;

    VoiceOrder(String title, Comparator<VoiceRow> comparator) {
        this.title = title;
        this.comparator = comparator;
    }

    public String title() {
        return title;
    }

    public String id() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }

    Comparator<VoiceRow> comparator() {
        return comparator;
    }

    /** @return the first one for a word that is none */
    static VoiceOrder named(String word) {
        for (VoiceOrder order : values()) {
            if (order.id().equals(word)) {
                return order;
            }
        }
        return CLEAREST;
    }

    /** Voices without the figure come last. */
    private static Comparator<VoiceRow> by(Function<VoiceFigures, Double> figure) {
        return Comparator.comparing(
                row -> row.figures() == null ? null : figure.apply(row.figures()),
                Comparator.nullsLast(Comparator.naturalOrder()));
    }
}
