package org.logophon.core.text.script;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.text.BreakIterator;
import com.ibm.icu.util.ULocale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A role's name at the start of a paragraph: {@code KEEPER: Wind north-west.} or {@code Keeper: …}.
 *
 * @param name    the name as it is shown: all capitals become {@code Keeper}
 * @param length  characters up to the first word to be spoken
 * @param capital true when it was written in capitals, which can't be mistaken for a sentence
 */
record RoleName(String name, int length, boolean capital) {

    private static final Pattern LABEL = Pattern.compile(
            "^(\\p{Lu}[\\p{L}\\p{M}\\p{N}.'’-]*(?: [\\p{Lu}\\p{N}][\\p{L}\\p{M}\\p{N}.'’-]*){0,3}):(?:\\s+|$)");

    static Optional<RoleName> at(CharSequence line) {
        Matcher found = LABEL.matcher(line);
        if (!found.find() || found.group(1).length() > 40) {
            return Optional.empty();
        }
        String written = found.group(1);
        boolean capital = written.length() > 1 && written.equals(UCharacter.toUpperCase(ULocale.ROOT, written));
        return Optional.of(new RoleName(capital ? titled(written) : written, found.end(), capital));
    }

    static String titled(String capitals) {
        return UCharacter.toTitleCase(ULocale.ROOT, capitals, BreakIterator.getWordInstance(ULocale.ROOT));
    }
}
