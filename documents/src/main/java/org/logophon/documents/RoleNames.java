package org.logophon.documents;

/** Names of roles that a script can hold: up to four words that start with a capital. */
final class RoleNames {

    private RoleNames() {}

    /** The name as a script can have it: other signs fall away, words are capitalised. Empty when nothing is left. */
    static String fit(String name) {
        StringBuilder fitted = new StringBuilder();
        int words = 0;
        for (String word :
                name.replaceAll("[^\\p{L}\\p{M}\\p{N}.'’ -]", " ").strip().split("\\s+")) {
            String start = word.replaceFirst("^[^\\p{L}\\p{N}]+", "");
            if (!start.isEmpty()
                    && words < 4
                    && fitted.length() + start.length() < 38
                    && (words > 0 || Character.isLetter(start.codePointAt(0)))) {
                int first = start.offsetByCodePoints(0, 1);
                fitted.append(words++ > 0 ? " " : "")
                        .append(start.substring(0, first).toUpperCase(java.util.Locale.ROOT))
                        .append(start.substring(first));
            }
        }
        return fitted.toString();
    }
}
