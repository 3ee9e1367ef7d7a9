package org.logophon.core.review.proof;

import java.util.Locale;
import org.logophon.core.text.normalization.FormKind;

/** What a finding is about. The first ones are kinds of written forms. */
public enum FindingKind {
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
    ABBREVIATION,
    UNKNOWN_WORD,
    HOMOGRAPH,
    LANGUAGE,
    LONG_SENTENCE,
    MISSING_STOP,
    RUN_TOGETHER,
    DOUBLED_WORD,
    WATCH_WORD,
    OVER_LIMIT,
    STAGE_DIRECTION,
    DOUBTFUL_WORD;

    static FindingKind of(FormKind kind) {
        return valueOf(kind.name());
    }

    /** As people read it: {@code roman numeral}. */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
