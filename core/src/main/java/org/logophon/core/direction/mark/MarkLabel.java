package org.logophon.core.direction.mark;

import java.util.Locale;
import org.logophon.core.text.reading.PronunciationKind;

/** Marks as the score writes them: short, with their unit. */
public final class MarkLabel {

    private MarkLabel() {}

    public static String of(Instruction instruction) {
        if (instruction instanceof Instruction.Pause pause) {
            return String.format(Locale.ROOT, "%.2f s", pause.millis() / 1000.0);
        }
        if (instruction instanceof Instruction.OwnSound sound) {
            return String.format(
                    Locale.ROOT,
                    "“%s” in %.2f s, %s dB",
                    sound.name(),
                    sound.millis() / 1000.0,
                    signed(sound.levelDb()));
        }
        if (instruction instanceof Instruction.Pace pace) {
            return "pace " + pace.percent() + " %";
        }
        if (instruction instanceof Instruction.Pitch pitch) {
            return "pitch " + signed(pitch.semitones()) + " st";
        }
        if (instruction instanceof Instruction.Range range) {
            return "range " + range.percent() + " %";
        }
        if (instruction instanceof Instruction.Volume loudness) {
            return "loudness " + signed(loudness.decibels()) + " dB";
        }
        if (instruction instanceof Instruction.InStyle styled) {
            return styled.percent() == 100
                    ? styled.style().id()
                    : styled.style().id() + " " + styled.percent() + " %";
        }
        if (instruction instanceof Instruction.Stress stress) {
            return stress.level() == Instruction.Level.STRONG
                    ? "strong"
                    : stress.level().id() + " stress";
        }
        if (instruction instanceof Instruction.ReadAs read) {
            return read.as() == PronunciationKind.IPA
                    ? "said /" + read.said() + "/"
                    : read.said().isEmpty() ? "said as " + read.as().id() : "said “" + read.said() + "”";
        }
        if (instruction instanceof Instruction.SpokenBy role) {
            return "by " + role.name();
        }
        if (instruction instanceof Instruction.Language language) {
            return "in " + Locale.forLanguageTag(language.tag()).getDisplayName(Locale.ENGLISH)
                    + (language.ownSounds() ? ", in the voice’s own sounds" : "");
        }
        return instruction.onGap() ? instruction.value() + " " + instruction.id() : instruction.id();
    }

    private static String signed(double value) {
        return String.format(Locale.ROOT, value == Math.rint(value) ? "%+.0f" : "%+.1f", value)
                .replace('-', '−')
                .replace("+0", "0");
    }
}
