package org.logophon.core.text.normalization;

import com.ibm.icu.text.RuleBasedNumberFormat;
import com.ibm.icu.util.ULocale;
import java.math.BigInteger;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/**
 * Numbers in words by CLDR's rule-based number formats (UTS #35 part 3). Rules aren't safe to share, so each call holds
 * the lock.
 */
final class Spellout {

    /** Beyond this digits are read one by one. */
    private static final int MOST_DIGITS = 15;

    private static final int MOST_KEPT = 20_000;

    private final RuleBasedNumberFormat rules;
    private final List<String> sets;
    /** Scripts repeat their numbers, and each is spelled out for what would be said and for what should be. */
    private final Map<String, String> said = new ConcurrentHashMap<>();

    Spellout(ULocale locale) {
        rules = new RuleBasedNumberFormat(locale, RuleBasedNumberFormat.SPELLOUT);
        sets = Arrays.asList(rules.getRuleSetNames());
    }

    /** By the first of the rule sets that the language has. */
    String say(String digits, String... preferred) {
        if (said.size() > MOST_KEPT) {
            said.clear();
        }
        return said.computeIfAbsent(preferred[0] + digits, key -> spell(digits, preferred));
    }

    private synchronized String spell(String digits, String... preferred) {
        if (digits.length() > MOST_DIGITS) {
            return digits.chars()
                    .mapToObj(d -> spell(String.valueOf((char) d), preferred))
                    .collect(Collectors.joining(" "));
        }
        String set = Arrays.stream(preferred).filter(sets::contains).findFirst().orElse(sets.get(0));
        // CLDR marks where German may be hyphenated, and where English may breathe: neither is said
        return rules.format(new BigInteger(digits).longValueExact(), set)
                .replace("\u00AD", "")
                .replace(",", "");
    }

    String digits(String figures, String... preferred) {
        return figures.chars()
                .filter(Character::isDigit)
                .mapToObj(d -> say(String.valueOf((char) d), preferred))
                .collect(Collectors.joining(" "));
    }
}
