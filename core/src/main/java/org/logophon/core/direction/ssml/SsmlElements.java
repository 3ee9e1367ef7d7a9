package org.logophon.core.direction.ssml;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.logophon.core.direction.Dial;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.style.Style;
import org.logophon.core.text.reading.Reading;

/** Which element says what. */
final class SsmlElements {

    private SsmlElements() {}

    /** Around the words of a whole cue, the outermost first. */
    static List<SsmlElement> of(Direction direction) {
        List<SsmlElement> all = new ArrayList<>();
        SsmlElement prosody = prosody(direction);
        // a prosody element has to have an attribute
        if (!prosody.attributes().isEmpty()) {
            all.add(prosody);
        }
        if (direction.style() != null && !direction.style().isEmpty()) {
            int percent = direction.stylePercent() == null ? Dial.STYLE.neutral() : direction.stylePercent();
            all.add(styled(direction.style(), percent));
        }
        return all;
    }

    private static SsmlElement prosody(Direction direction) {
        SsmlElement prosody = SsmlElement.of("prosody");
        if (direction.pacePercent() != null) {
            prosody = prosody.with("rate", direction.pacePercent() + "%");
        }
        if (direction.pitchSemitones() != null) {
            prosody = prosody.with("pitch", signed(direction.pitchSemitones()) + "st");
        }
        if (direction.rangePercent() != null) {
            prosody = prosody.with("range", signed(direction.rangePercent() - 100.0) + "%");
        }
        if (direction.loudnessDb() != null) {
            prosody = prosody.with("volume", signed(direction.loudnessDb()) + "dB");
        }
        return prosody;
    }

    /** For other readers as nearly as their attributes can say it. */
    private static SsmlElement styled(String name, int percent) {
        SsmlElement prosody = SsmlElement.of("prosody");
        Style style = Style.named(name).orElse(null);
        if (style != null) {
            prosody = prosody.with("rate", Math.round(100 * style.paceFactor(percent)) + "%")
                    .with("pitch", signed(hundredths(style.semitones(percent))) + "st")
                    .with("range", signed(Math.round(100 * style.rangeFactor(percent)) - 100.0) + "%");
        }
        double decibels = style == null ? 0 : style.loudnessDb(percent);
        return prosody.with("volume", signed(hundredths(decibels)) + "dB").withOurs("style", name + " " + percent);
    }

    /** Around the words of a mark. @param cast names of the voices of roles */
    static SsmlElement of(Instruction instruction, Map<String, String> cast) {
        SsmlElement prosody = SsmlElement.of("prosody");
        if (instruction instanceof Instruction.SpokenBy role) {
            // a name of a voice has no spaces in SSML
            return SsmlElement.of("voice")
                    .with("name", cast.getOrDefault(role.name(), role.name()).replaceAll("\\s+", "_"))
                    .withOurs("role", role.name());
        }
        if (instruction instanceof Instruction.Language language) {
            SsmlElement lang = SsmlElement.of("lang").withLanguage(language.tag());
            return language.ownSounds() ? lang.withOurs("sounds", "own") : lang;
        }
        if (instruction instanceof Instruction.Stress stress) {
            return SsmlElement.of("emphasis").with("level", stress.level().id());
        }
        if (instruction instanceof Instruction.Pace pace) {
            return prosody.with("rate", pace.percent() + "%");
        }
        if (instruction instanceof Instruction.Pitch pitch) {
            return prosody.with("pitch", signed(pitch.semitones()) + "st");
        }
        if (instruction instanceof Instruction.Range range) {
            return prosody.with("range", signed(range.percent() - 100.0) + "%");
        }
        if (instruction instanceof Instruction.Volume loudness) {
            return prosody.with("volume", signed(loudness.decibels()) + "dB");
        }
        if (instruction instanceof Instruction.InStyle styled) {
            return styled(styled.style().id(), styled.percent());
        }
        return prosody.with("volume", "-6dB").withOurs("whisper", "true");
    }

    /** In a gap between words: a pause, a breath, or a pause that a sound is in. */
    static SsmlElement inGap(Mark mark) {
        if (mark.instruction() instanceof Instruction.OwnSound sound) {
            return SsmlElement.of("break")
                    .with("time", sound.millis() + "ms")
                    .withOurs("sound", sound.name())
                    .withOurs("level", Double.toString(sound.levelDb()));
        }
        return mark.instruction() instanceof Instruction.Pause pause
                ? SsmlElement.of("break").with("time", pause.millis() + "ms")
                : SsmlElement.of("mark")
                        .with("name", SsmlWriter.BREATH + mark.instruction().value());
    }

    static SsmlElement of(Reading reading) {
        SsmlElement sayAs = SsmlElement.of("say-as");
        return switch (reading.kind()) {
            case WORDS -> SsmlElement.of("sub").with("alias", reading.said());
            case IPA -> SsmlElement.of("phoneme").with("alphabet", "ipa").with("ph", reading.said());
            case LETTERS -> sayAs.with("interpret-as", "characters");
            case DIGITS -> sayAs.with("interpret-as", "characters").with("format", "digits");
            default -> sayAs.with("interpret-as", reading.kind().id());
        };
    }

    private static double hundredths(double value) {
        return Math.round(value * 100) / 100.0;
    }

    private static String signed(double value) {
        String number =
                value == Math.rint(value) ? Long.toString(Math.round(value)) : String.format(Locale.ROOT, "%s", value);
        return value < 0 ? number : "+" + number;
    }
}
