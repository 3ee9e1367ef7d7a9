package org.logophon.core.text.normalization;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Short forms that stand for a word or two, with or without their full stop. */
final class Abbreviations {

    /** Said in full wherever they stand before something. */
    private static final Map<String, String> WORDS = new LinkedHashMap<>();

    static {
        for (String entry : ("Dr=doctor Mr=mister Mrs=missus Ms=miz Prof=professor Rev=reverend Hon=honourable "
                        + "Gen=general Col=colonel "
                        + "Capt=captain Lt=lieutenant Sgt=sergeant Cpl=corporal Gov=governor "
                        + "Sen=senator Mt=mount Jr=junior Sr=senior Bros=brothers "
                        + "Ltd=limited Inc=incorporated Corp=corporation Dept=department "
                        + "Assoc=association Ave=avenue Rd=road Blvd=boulevard "
                        + "approx=approximately est=established vs=versus etc=et_cetera min=minimum "
                        + "max=maximum incl=including excl=excluding "
                        + "Jan=January Feb=February Apr=April Aug=August Sept=September Oct=October "
                        + "Nov=November Dec=December Messrs=messers")
                .split(" ")) {
            int equals = entry.indexOf('=');
            WORDS.put(entry.substring(0, equals), entry.substring(equals + 1).replace('_', ' '));
        }
    }

    private Abbreviations() {}

    static List<Rule> rules(English english) {
        String alternatives = WORDS.keySet().stream()
                .sorted((a, b) -> b.length() - a.length())
                .collect(Collectors.joining("|"));
        return Stream.of(
                        Rule.of(
                                FormKind.ABBREVIATION,
                                "(?<![\\p{L}\\p{N}.])e\\.g\\.?(?![\\p{L}\\p{N}])",
                                m -> List.of("for example")),
                        Rule.of(
                                FormKind.ABBREVIATION,
                                "(?<![\\p{L}\\p{N}.])i\\.e\\.?(?![\\p{L}\\p{N}])",
                                m -> List.of("that is")),
                        Rule.of(
                                FormKind.ABBREVIATION,
                                "(?<![\\p{L}\\p{N}.])a\\.?k\\.?a\\.?(?![\\p{L}\\p{N}])",
                                m -> List.of("also known as")),
                        Rule.of(
                                FormKind.ABBREVIATION,
                                "(?<![\\p{L}\\p{N}.])(?:etc|vs)(?![\\p{L}\\p{N}.])",
                                m -> List.of(WORDS.get(m.group()))),
                        Rule.of(
                                FormKind.ABBREVIATION,
                                "(?<![\\p{L}\\p{N}.])(?:Dr|Mr|Mrs|Ms|Prof|Sgt|Capt|Lt|Col)(?= \\p{Lu})",
                                m -> List.of(said(m.group(), english))),
                        Rule.of(
                                FormKind.ABBREVIATION,
                                "(?<![\\p{L}\\p{N}.])St\\.?(?= \\p{Lu}\\p{Ll})",
                                m -> List.of("saint", "street")),
                        Rule.of(
                                FormKind.ABBREVIATION,
                                "(?<=\\p{Ll} )St\\.?(?![\\p{L}\\p{N}])",
                                m -> List.of("street", "saint")),
                        Rule.of(
                                FormKind.ABBREVIATION,
                                "(?<![\\p{L}\\p{N}.])(" + alternatives + ")\\.(?![\\p{L}\\p{N}])",
                                m -> List.of(said(m.group(1), english))))
                .toList();
    }

    private static String said(String written, English english) {
        String word = WORDS.get(written);
        return english.british() ? word : word.replace("honourable", "honorable");
    }
}
