package org.logophon.app.direct;

import java.util.Locale;
import org.logophon.mark.Ask;
import org.logophon.reading.As;

/** Marks as the score writes them: short, with their unit. */
final class MarkLabel {

    private MarkLabel() {
    }

    static String of(Ask ask) {
        if (ask instanceof Ask.Pause pause) {
            return String.format(Locale.ROOT, "%.2f s", pause.millis() / 1000.0);
        }
        if (ask instanceof Ask.Pace pace) {
            return "pace " + pace.percent() + " %";
        }
        if (ask instanceof Ask.Pitch pitch) {
            return "pitch " + signed(pitch.semitones()) + " st";
        }
        if (ask instanceof Ask.Range range) {
            return "range " + range.percent() + " %";
        }
        if (ask instanceof Ask.Loudness loudness) {
            return "loudness " + signed(loudness.decibels()) + " dB";
        }
        if (ask instanceof Ask.Styled styled) {
            return styled.percent() == 100 ? styled.style().word() : styled.style().word() + " " + styled.percent() + " %";
        }
        if (ask instanceof Ask.Stress stress) {
            return stress.level() == Ask.Level.STRONG ? "strong" : stress.level().word() + " stress";
        }
        if (ask instanceof Ask.Read read) {
            return read.as() == As.IPA ? "said /" + read.said() + "/" : read.said().isEmpty() ? "said as " + read.as().word() : "said “" + read.said() + "”";
        }
        if (ask instanceof Ask.Role role) {
            return "by " + role.name();
        }
        if (ask instanceof Ask.Language language) {
            return "in " + Locale.forLanguageTag(language.tag()).getDisplayName(Locale.ENGLISH);
        }
        return ask.onGap() ? ask.value() + " " + ask.word() : ask.word();
    }

    private static String signed(double value) {
        return String.format(Locale.ROOT, value == Math.rint(value) ? "%+.0f" : "%+.1f", value).replace('-', '−').replace("+0", "0");
    }
}
