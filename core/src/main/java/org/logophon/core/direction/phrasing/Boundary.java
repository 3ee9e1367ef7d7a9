package org.logophon.core.direction.phrasing;

/**
 * What parts two phrases, with its rest, its melody and how much the last stressed syllable before it is lengthened.
 *
 * <p>Rests are ours, after the classes of Campione and Véronis (2002: brief under 0.2 s, medium to 1 s, long over it;
 * from memory). Lengthening after Klatt (1976) and Wightman et al. (1992), both from memory. Melodies are ours.
 */
public enum Boundary {
    COMMA("comma", 0.22, 1.5, 1.15),
    LIST_ITEM("item of a list", 0.18, 1.5, 1.15),
    SEMICOLON("semicolon", 0.38, 0, 1.2),
    COLON("colon", 0.38, -1.5, 1.2),
    DASH("dash", 0.30, 0, 1.15),
    PARENTHESIS("parenthesis", 0.30, 0, 1.15),
    ELLIPSIS("ellipsis", 0.65, 0, 1.3),
    STOP("full stop", 0.60, -4, 1.3),
    QUESTION("yes/no question", 0.70, 5, 1.3),
    /** One that asks with a word of its own, a tag, or a choice. */
    OTHER_QUESTION("question", 0.70, -4, 1.3),
    EXCLAMATION("exclamation mark", 0.60, -4, 1.3),
    PARAGRAPH("paragraph", 0.90, -4, 1.3),
    /** Inside a long clause: no sign stands there. */
    BREATH_GROUP("long clause", 0.15, 0, 1.05);

    private final String title;
    private final double restSeconds;
    private final double semitones;
    private final double lengthening;

    Boundary(String title, double restSeconds, double semitones, double lengthening) {
        this.title = title;
        this.restSeconds = restSeconds;
        this.semitones = semitones;
        this.lengthening = lengthening;
    }

    /** As people call it. */
    public String title() {
        return title;
    }

    /** At 100 % pace. */
    public double restSeconds() {
        return restSeconds;
    }

    /** How far the pitch moves from the last stressed syllable to the end. */
    public double semitones() {
        return semitones;
    }

    /** Factor of the last stressed syllable's length, engine's own included. */
    public double lengthening() {
        return lengthening;
    }

    /** True where a sentence ends: the pitch starts anew after it. */
    public boolean full() {
        return switch (this) {
            case STOP, QUESTION, OTHER_QUESTION, EXCLAMATION, PARAGRAPH -> true;
            default -> false;
        };
    }
}
