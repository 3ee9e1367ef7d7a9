package org.logophon.app.services.project.take;

import java.util.List;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.StorableText;

/**
 * A take's name, star, labels and remark.
 *
 * @param name   its own; empty for T1, T2…
 * @param remark a note on all of it; empty for none
 * @param labels words of their own, each once
 */
public record TakeWords(String name, boolean starred, String remark, List<String> labels) {

    public static final int LONGEST_NAME = 60;
    public static final int LONGEST_LABEL = 30;
    public static final int LONGEST_REMARK = 2_000;
    private static final int MOST_LABELS = 12;

    public static final TakeWords NONE = new TakeWords("", false, "", List.of());

    public TakeWords {
        labels = List.copyOf(labels);
    }

    /** As typed. @param labels with commas between them. @throws Refused with a sentence */
    public static TakeWords typed(String name, boolean starred, String remark, String labels) {
        List<String> words = List.of(StorableText.of(labels).split(",")).stream()
                .map(String::strip)
                .filter(label -> !label.isEmpty())
                .distinct()
                .toList();
        check("The name of a take", name, LONGEST_NAME);
        check("The note on a take", remark, LONGEST_REMARK);
        words.forEach(label -> check("A label", label, LONGEST_LABEL));
        if (words.size() > MOST_LABELS) {
            throw new Refused("A take has %d labels at most, and these are %d.".formatted(MOST_LABELS, words.size()));
        }
        return new TakeWords(
                StorableText.of(name).strip(), starred, StorableText.of(remark).strip(), words);
    }

    private static void check(String what, String typed, int most) {
        if (typed.length() > most) {
            throw new Refused(
                    "%s has %d characters at most, and this has %d. Shorten it.".formatted(what, most, typed.length()));
        }
    }
}
