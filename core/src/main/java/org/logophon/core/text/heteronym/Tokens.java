package org.logophon.core.text.heteronym;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The words and signs of a text, sentence by sentence, as a tagger takes them. */
final class Tokens {

    /** @param start UTF-16 index in the text */
    record Token(int start, int end, String text) {}

    private static final Pattern TOKEN =
            Pattern.compile("[\\p{L}\\p{N}]++(?:-[\\p{L}\\p{N}]++)*+|['’]\\p{L}++|[^\\s\\p{L}\\p{N}]");
    private static final Pattern ENDS = Pattern.compile("[.!?…]++[\"”’')\\]]*+\\s++|\\n++");

    /** What goes on for longer is looked at in pieces: no sentence that anybody says is as long. */
    private static final int LONGEST = 120;

    private Tokens() {}

    /** @return at least one word in each */
    static List<List<Token>> sentences(String text) {
        List<List<Token>> sentences = new ArrayList<>();
        Matcher ends = ENDS.matcher(text);
        int from = 0;
        while (ends.find()) {
            add(text, from, ends.end(), sentences);
            from = ends.end();
        }
        add(text, from, text.length(), sentences);
        return sentences;
    }

    private static void add(String text, int from, int to, List<List<Token>> sentences) {
        List<Token> tokens = new ArrayList<>();
        Matcher token = TOKEN.matcher(text).region(from, to);
        while (token.find()) {
            if (tokens.size() >= LONGEST) {
                sentences.add(tokens);
                tokens = new ArrayList<>();
            }
            String word = token.group();
            // "don't" comes as "don" and "'t": the treebank parts it before the n
            int last = tokens.size() - 1;
            boolean not = word.matches("['’]t")
                    && last >= 0
                    && tokens.get(last).text().matches("(?i).+n");
            if (not && tokens.get(last).end() == token.start()) {
                Token before = tokens.get(last);
                tokens.set(last, new Token(before.start(), before.end() - 1, cut(before.text())));
                tokens.add(new Token(before.end() - 1, token.end(), "n't"));
            } else {
                tokens.add(new Token(token.start(), token.end(), word));
            }
        }
        if (!tokens.isEmpty()) {
            sentences.add(tokens);
        }
    }

    private static String cut(String word) {
        return word.substring(0, word.length() - 1);
    }
}
