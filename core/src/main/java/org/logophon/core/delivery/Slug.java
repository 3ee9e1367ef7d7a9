package org.logophon.core.delivery;

import com.github.slugify.Slugify;
import java.util.Locale;
import java.util.Map;

/** The first words of a text as part of a file name: {@code at-the-top-of-skerrow-head}. */
public final class Slug {

    private static final int MOST = 40;

    private static final Map<String, String> OWN = Map.of("'", "", "’", "", "`", "", "_", "-");
    private static final Slugify ASCII =
            Slugify.builder().locale(Locale.ROOT).customReplacements(OWN).build();
    /** Ten times slower, so for what needs it. */
    private static final Slugify ANY_SCRIPT = Slugify.builder()
            .locale(Locale.ROOT)
            .customReplacements(OWN)
            .transliterator(true)
            .build();

    private Slug() {}

    /** Lower-case ASCII letters, digits and hyphens; whole words, 40 characters at most; "cue" when nothing is left. */
    public static String of(String text) {
        String head = text.substring(0, Math.min(text.length(), 400));
        String slug = (head.chars().allMatch(c -> c < 128) ? ASCII : ANY_SCRIPT).slugify(head);
        if (slug.length() > MOST) {
            int end = slug.lastIndexOf('-', MOST);
            slug = slug.substring(0, end > 0 ? end : MOST);
        }
        return slug.isEmpty() ? "cue" : slug;
    }
}
