package org.logophon.core.text.normalization;

import java.util.Locale;

/** Kinds of written forms that are not simply read letter by letter as words. */
public enum FormKind {
    NUMBER,
    DATE,
    TIME,
    MONEY,
    UNIT,
    ORDINAL,
    RANGE,
    FRACTION,
    VERSION,
    TELEPHONE,
    ROMAN_NUMERAL,
    ACRONYM,
    MIXED,
    WEB_ADDRESS,
    SYMBOL,
    ABBREVIATION;

    /** As people read it: {@code roman numeral}. */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
