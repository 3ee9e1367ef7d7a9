package org.logophon.app.steps.deliver;

import java.util.List;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.deliveries.Choice;
import org.logophon.core.input.TypedNumber;

/**
 * The form of the page as it is sent; what is left out is as it was.
 *
 * @param pattern of names
 * @param target  loudness in LUFS, or {@code off}
 * @param asked   null when the form had no parts at all, as a command sends it
 */
record ChoiceForm(
        String pattern,
        String target,
        Boolean asked,
        List<String> parts,
        List<String> captions,
        String format,
        Integer rate,
        Integer bits,
        Integer minutes,
        Boolean title,
        Boolean inClips) {

    ChoiceForm {
        parts = parts == null ? List.of() : List.copyOf(parts);
        captions = captions == null ? List.of() : List.copyOf(captions);
    }

    Choice choice(Choice kept) {
        if (!Boolean.TRUE.equals(asked)) {
            return kept;
        }
        return new Choice(
                parts,
                format == null ? kept.format() : format,
                rate == null ? kept.rate() : rate,
                bits == null ? kept.bits() : bits,
                minutes == null ? kept.minutes() : minutes,
                captions,
                Boolean.TRUE.equals(title),
                Boolean.TRUE.equals(inClips));
    }

    Double lufs() {
        if ("off".equals(target)) {
            return null;
        }
        Double lufs = TypedNumber.read("The target loudness in LUFS", target == null ? "" : target);
        if (lufs == null) {
            throw new Refused("Choose a target loudness, or off.");
        }
        return lufs;
    }
}
