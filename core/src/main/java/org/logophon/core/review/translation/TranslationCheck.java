package org.logophon.core.review.translation;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.review.translation.TranslationFinding.Kind;

/** Holds a translation against its first words: figures, placeholders, names, and terms of the glossary. */
public final class TranslationCheck {

    /** What a program or an editor fills in: {name}, {{name}}, %s, %1$d, [NAME]. Common practice, no source. */
    private static final Pattern PLACEHOLDER =
            Pattern.compile("\\{\\{?[\\p{L}\\p{Nd}_ .-]{1,60}}?}|%(?:\\d+\\$)?[sd@]|\\[[\\p{Lu}\\p{Nd}_]{2,40}]");
    /** A word in capitals inside a sentence: before it stands a word that doesn't end one. */
    private static final Pattern NAME =
            Pattern.compile("(?<=[\\p{L}\\p{Nd},;’'] )\\p{Lu}[\\p{L}’'-]+(?: \\p{Lu}[\\p{L}’'-]+)*");
    /**
     * Languages that write every noun, or the days and peoples, with a capital tell nothing by it, as English does by
     * these.
     */
    private static final Set<String> NO_NAMES = Set.of(
            "i",
            "i'm",
            "i’m",
            "i've",
            "i’ve",
            "i'll",
            "i’ll",
            "i'd",
            "i’d",
            "monday",
            "tuesday",
            "wednesday",
            "thursday",
            "friday",
            "saturday",
            "sunday",
            "january",
            "february",
            "march",
            "april",
            "may",
            "june",
            "july",
            "august",
            "september",
            "october",
            "november",
            "december",
            "english",
            "german",
            "french",
            "welsh",
            "spanish",
            "italian");
    /** How much of a name's beginning stays when it is declined. Ours. */
    private static final int STEM = 4;

    private TranslationCheck() {}

    /**
     * @param first            words of the first language
     * @param firstLanguage    BCP 47 tag
     * @param translated       the same in another
     * @param language         BCP 47 tag
     */
    public static List<TranslationFinding> of(
            String first, String firstLanguage, String translated, String language, List<GlossaryTerm> glossary) {
        List<TranslationFinding> findings = new ArrayList<>();
        figures(first, firstLanguage, translated, language, findings);
        placeholders(first, translated, findings);
        Set<String> terms = glossary(first, translated, language, glossary, findings);
        // only English keeps its capitals for names
        if (firstLanguage.startsWith("en")) {
            names(first, translated, terms, findings);
        }
        return findings;
    }

    private static void figures(
            String first, String firstLanguage, String translated, String language, List<TranslationFinding> findings) {
        List<Figures.Figure> there = new ArrayList<>(Figures.in(translated, language));
        List<Figures.Figure> missing = new ArrayList<>();
        for (Figures.Figure figure : Figures.in(first, firstLanguage)) {
            if (!take(there, figure.value())) {
                missing.add(figure);
            }
        }
        String spoken = translated.toLowerCase(Locale.ROOT);
        missing.removeIf(figure -> {
            String words = Figures.words(figure.value(), language);
            return words != null && contains(spoken, words);
        });
        String before = first.toLowerCase(Locale.ROOT);
        there.removeIf(figure -> {
            String words = Figures.words(figure.value(), firstLanguage);
            return words != null && contains(before, words);
        });
        for (Figures.Figure figure : missing) {
            findings.add(new TranslationFinding(
                    Kind.FIGURE,
                    there.isEmpty()
                            ? "“" + figure.written() + "” isn't in the translation."
                            : "“" + figure.written() + "” isn't in the translation; “"
                                    + there.remove(0).written() + "” is."));
        }
        there.forEach(figure ->
                findings.add(new TranslationFinding(Kind.FIGURE, "“" + figure.written() + "” isn't in the original.")));
    }

    private static boolean take(List<Figures.Figure> figures, BigDecimal value) {
        for (int i = 0; i < figures.size(); i++) {
            if (figures.get(i).value().compareTo(value) == 0) {
                figures.remove(i);
                return true;
            }
        }
        return false;
    }

    private static void placeholders(String first, String translated, List<TranslationFinding> findings) {
        for (String placeholder : found(PLACEHOLDER, first)) {
            if (!translated.contains(placeholder)) {
                findings.add(new TranslationFinding(
                        Kind.PLACEHOLDER, "The placeholder “" + placeholder + "” isn't in the translation."));
            }
        }
    }

    /** @return what the glossary has of the words, in the first language */
    private static Set<String> glossary(
            String first,
            String translated,
            String language,
            List<GlossaryTerm> glossary,
            List<TranslationFinding> findings) {
        Set<String> terms = new LinkedHashSet<>();
        String lower = translated.toLowerCase(Locale.ROOT);
        for (GlossaryTerm term : glossary) {
            if (!term.holdsIn(language)
                    || !contains(first.toLowerCase(Locale.ROOT), term.written().toLowerCase(Locale.ROOT))) {
                continue;
            }
            terms.add(term.written());
            if (!lower.contains(term.said().toLowerCase(Locale.ROOT))) {
                findings.add(new TranslationFinding(
                        Kind.GLOSSARY,
                        term.stays()
                                ? "“" + term.written() + "” stays as it is, and isn't in the translation."
                                : "“" + term.written() + "” is always “" + term.said()
                                        + "”, which isn't in the translation."));
            }
        }
        return terms;
    }

    private static void names(String first, String translated, Set<String> terms, List<TranslationFinding> findings) {
        String lower = translated.toLowerCase(Locale.ROOT);
        for (String name : found(NAME, first)) {
            String[] words = name.split(" ");
            boolean there = false;
            for (String word : words) {
                String stem = word.toLowerCase(Locale.ROOT);
                there |= NO_NAMES.contains(stem) || lower.contains(stem.substring(0, Math.min(STEM, stem.length())));
            }
            if (!there && terms.stream().noneMatch(name::contains)) {
                findings.add(new TranslationFinding(
                        Kind.NAME, "The name “" + name + "” isn't in the translation, or is written otherwise."));
            }
        }
    }

    private static Set<String> found(Pattern pattern, String text) {
        Set<String> found = new LinkedHashSet<>();
        Matcher matcher = pattern.matcher(text);
        while (matcher.find()) {
            found.add(matcher.group());
        }
        return found;
    }

    /** As whole words. */
    private static boolean contains(String text, String words) {
        int at = text.indexOf(words);
        while (at >= 0) {
            int end = at + words.length();
            boolean before = at == 0 || !Character.isLetterOrDigit(text.charAt(at - 1));
            boolean after = end == text.length() || !Character.isLetterOrDigit(text.charAt(end));
            if (before && after) {
                return true;
            }
            at = text.indexOf(words, at + 1);
        }
        return false;
    }
}
