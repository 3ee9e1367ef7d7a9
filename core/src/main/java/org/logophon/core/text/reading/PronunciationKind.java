package org.logophon.core.text.reading;

import java.util.Arrays;
import java.util.Locale;
import org.logophon.core.input.InvalidInput;

/**
 * A way in which a reading says its form: in other words, as a kind (W3C's note "SSML 1.0 say-as attribute values",
 * 2005), or in IPA.
 */
public enum PronunciationKind {
    WORDS("other words"),
    LETTERS("letters"),
    DIGITS("digits"),
    CARDINAL("number"),
    ORDINAL("ordinal"),
    DATE("date"),
    TIME("time"),
    TELEPHONE("telephone"),
    IPA("IPA");

    private final String title;

    PronunciationKind(String title) {
        this.title = title;
    }

    /** Ends the words "said as". */
    public String title() {
        return title;
    }

    /** Whether it takes what is said, typed; other kinds are said of the written form itself. */
    public boolean typed() {
        return this == WORDS || this == IPA;
    }

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** @throws InvalidInput with a sentence for an unknown word */
    public static PronunciationKind of(String word) {
        return Arrays.stream(values())
                .filter(as -> as.id().equalsIgnoreCase(word.strip()))
                .findFirst()
                .orElseThrow(() -> new InvalidInput("\"" + word
                        + "\" is no way to say something. Use words, letters, digits, "
                        + "cardinal, ordinal, date, time, telephone or ipa."));
    }
}
