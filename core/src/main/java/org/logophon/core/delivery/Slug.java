package org.logophon.core.delivery;

import com.ibm.icu.text.Transliterator;
import java.util.Locale;

/** The first words of a text as part of a file name: {@code at-the-top-of-skerrow-head}. */
public final class Slug {

    private static final int MOST = 40;

    private Slug() {}

    /** Lower-case ASCII letters, digits and hyphens; whole words, 40 characters at most; "cue" when nothing is left. */
    public static String of(String text) {
        String head = text.substring(0, Math.min(text.length(), 400));
        String latin = head.chars().allMatch(c -> c < 128)
                ? head
                : Transliterator.getInstance("Any-Latin; Latin-ASCII").transliterate(head);
        StringBuilder slug = new StringBuilder();
        for (String word :
                latin.toLowerCase(Locale.ROOT).replaceAll("['’`]", "").split("[^a-z0-9]+")) {
            if (word.isEmpty()) {
                continue;
            }
            if (slug.length() + 1 + word.length() > MOST) {
                if (slug.isEmpty()) {
                    slug.append(word, 0, Math.min(word.length(), MOST));
                }
                break;
            }
            slug.append(slug.isEmpty() ? "" : "-").append(word);
        }
        return slug.isEmpty() ? "cue" : slug.toString();
    }
}
