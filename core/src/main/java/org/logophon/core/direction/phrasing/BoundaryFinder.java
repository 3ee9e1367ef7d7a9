package org.logophon.core.direction.phrasing;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import org.logophon.core.text.script.Sentences;
import org.logophon.core.text.script.Word;

/** Finds what stands after each word of a text: a boundary of phrases, or nothing. */
final class BoundaryFinder {

    private static final Pattern PARAGRAPH = Pattern.compile("\\n\\s*\\n");
    private static final Pattern DASH = Pattern.compile("[—–―]|\\s-+\\s|--");
    private static final Pattern ELLIPSIS = Pattern.compile("…|\\.{3,}|\\. \\. \\.");
    /** Of a list each item has so many words at most. */
    private static final int LONGEST_ITEM = 4;
    /** A clause of more words than this wants a breath. */
    private static final int LONGEST_CLAUSE = 14;
    /** So many words stand on each side of a rest that no sign asks for. */
    private static final int LEAST_AROUND = 4;

    private final String text;
    private final List<Word> words;
    private final PhrasingLanguage language;
    private final boolean greek;
    private final List<Integer> sentences;

    BoundaryFinder(String text, List<Word> words, String tag) {
        this.text = text;
        this.words = words;
        this.language = PhrasingLanguage.of(tag);
        this.greek = tag.startsWith("el");
        this.sentences = Sentences.ends(text, tag);
    }

    /** One for each word; null where nothing parts it from the next. */
    List<Boundary> all() {
        List<Boundary> all = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            all.add(after(i));
        }
        lists(all);
        breathGroups(all);
        return all;
    }

    private Boundary after(int i) {
        boolean last = i + 1 == words.size();
        int from = words.get(i).end();
        int to = last ? text.length() : words.get(i + 1).start();
        String between = text.substring(from, to);
        if (asking(between)) {
            return question(i);
        }
        if (ELLIPSIS.matcher(between).find()) {
            return Boundary.ELLIPSIS;
        }
        boolean sentence = sentenceEnds(i);
        if (holds(between, "!！")) {
            return sentence ? Boundary.EXCLAMATION : Boundary.COMMA;
        }
        if (holds(between, ";；")) {
            return Boundary.SEMICOLON;
        }
        if (holds(between, ":：")) {
            return Boundary.COLON;
        }
        if (sentence && holds(between, ".。．।")) {
            return Boundary.STOP;
        }
        if (holds(between, "()（）")) {
            return Boundary.PARENTHESIS;
        }
        if (DASH.matcher(between).find()) {
            return Boundary.DASH;
        }
        if (holds(between, ",،，、")) {
            return Boundary.COMMA;
        }
        return last || paragraph(i) ? Boundary.STOP : null;
    }

    /** True where a line is left empty after a word. */
    boolean paragraph(int i) {
        return i + 1 < words.size()
                && PARAGRAPH
                        .matcher(text)
                        .region(words.get(i).end(), words.get(i + 1).start())
                        .find();
    }

    /** False where a question or a shout is told of: “Who?” he asked. */
    boolean sentenceEnds(int i) {
        int from = words.get(i).end();
        int to = i + 1 == words.size() ? text.length() : words.get(i + 1).start();
        boolean goesOn = i + 1 < words.size() && Character.isLowerCase(text.codePointAt(to));
        return i + 1 == words.size() || !goesOn && sentences.stream().anyMatch(end -> end > from && end <= to);
    }

    private static boolean holds(String between, String signs) {
        return between.chars().anyMatch(c -> signs.indexOf(c) >= 0);
    }

    private boolean asking(String between) {
        return holds(between, "?？؟") || greek && holds(between, ";;");
    }

    /** A question with a word that asks, a tag or a choice falls; another one rises. @param last word of it */
    private Boundary question(int last) {
        int first = firstOfSentence(last);
        int clause = last;
        while (clause > first && !parted(clause - 1)) {
            clause--;
        }
        if (clause > first
                && language.tag() != null
                && language.tag()
                        .matcher(text.substring(
                                words.get(clause).start(), words.get(last).end()))
                        .matches()) {
            return Boundary.OTHER_QUESTION;
        }
        // "And where…", "In which…": the word that asks comes early in its clause
        for (int i = clause; i <= Math.min(last, clause + 1); i++) {
            if (language.questionWords().contains(plain(i))) {
                return Boundary.OTHER_QUESTION;
            }
        }
        for (int i = clause + 1; i < last; i++) {
            if (language.or().contains(plain(i))) {
                return Boundary.OTHER_QUESTION;
            }
        }
        return Boundary.QUESTION;
    }

    private boolean parted(int word) {
        return text.substring(words.get(word).end(), words.get(word + 1).start())
                .chars()
                .anyMatch(c -> ",;:…—–¿(“„«\"".indexOf(c) >= 0);
    }

    private int firstOfSentence(int last) {
        int first = last;
        while (first > 0) {
            int end = words.get(first - 1).end();
            int next = words.get(first).start();
            if (sentences.stream().anyMatch(place -> place > end && place <= next)) {
                break;
            }
            first--;
        }
        return first;
    }

    /** Short items one after the other, the last after "and" or "or": "lamps, ropes, oil and bread". */
    private void lists(List<Boundary> all) {
        int at = 0;
        while (at < all.size()) {
            int commas = 0;
            int item = at;
            List<Integer> places = new ArrayList<>();
            int i = at;
            while (i < all.size() && (all.get(i) == null || all.get(i) == Boundary.COMMA)) {
                if (all.get(i) == Boundary.COMMA) {
                    // what stands before a list's first comma may be long: "We bought lamps,"
                    boolean fits = commas == 0 || i - item < LONGEST_ITEM;
                    if (!fits) {
                        break;
                    }
                    places.add(i);
                    commas++;
                    item = i + 1;
                }
                i++;
            }
            boolean joined = false;
            for (int k = item; k <= Math.min(item + LONGEST_ITEM, all.size() - 1); k++) {
                joined |= plain(k).equals("and")
                        || plain(k).equals("&")
                        || language.or().contains(plain(k))
                        || List.of("und", "et", "y", "e").contains(plain(k));
            }
            if (commas >= 2 && joined || commas >= 3) {
                places.forEach(place -> all.set(place, Boundary.LIST_ITEM));
            }
            at = Math.max(i, at) + 1;
        }
    }

    private void breathGroups(List<Boundary> all) {
        if (!language.known()) {
            return;
        }
        int from = 0;
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i) != null) {
                part(all, from, i);
                from = i + 1;
            }
        }
        part(all, from, all.size() - 1);
    }

    /** Where a clause begins nearest to the middle; a long half is looked at again. */
    private void part(List<Boundary> all, int first, int last) {
        if (last - first < LONGEST_CLAUSE) {
            return;
        }
        int best = -1;
        int middle = (first + last) / 2;
        for (int i = first + LEAST_AROUND; i <= last - LEAST_AROUND + 1; i++) {
            if (begins(i) && (best < 0 || Math.abs(i - middle) < Math.abs(best - middle))) {
                best = i;
            }
        }
        if (best > 0) {
            all.set(best - 1, Boundary.BREATH_GROUP);
            part(all, first, best - 1);
            part(all, best, last);
        }
    }

    /** A clause begins: with a word that begins one, after a word that isn't bound to it. */
    private boolean begins(int i) {
        if (!language.partsBefore().contains(plain(i))
                || language.functionWords().contains(plain(i - 1))
                || i + 1 >= words.size()) {
            return false;
        }
        // "bread and fruit" is one thing: what and and or part here starts with a small word
        boolean joins = language.or().contains(plain(i))
                || List.of("and", "und", "et", "y", "e").contains(plain(i));
        return !joins || language.functionWords().contains(plain(i + 1));
    }

    private String plain(int i) {
        return PhrasingLanguage.plain(words.get(i).in(text));
    }
}
