package org.logophon.reading;

import java.util.Arrays;
import java.util.Locale;

/** In what way a reading says its form: in other words, as a kind (W3C's note "SSML 1.0 say-as attribute values", 2005), or in IPA. */
public enum As {
    WORDS, LETTERS, DIGITS, CARDINAL, ORDINAL, DATE, TIME, TELEPHONE, IPA;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** @throws IllegalArgumentException with a sentence for an unknown word */
    public static As of(String word) {
        return Arrays.stream(values()).filter(as -> as.word().equalsIgnoreCase(word.strip())).findFirst().orElseThrow(() ->
                new IllegalArgumentException("\"" + word + "\" is no way to say something. Use words, letters, digits, cardinal, ordinal, date, time, telephone or ipa."));
    }
}
