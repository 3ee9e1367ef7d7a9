package org.logophon.core.text.heteronym;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.logophon.core.text.heteronym.Tokens.Token;

/**
 * Finds English words of one spelling and two pronunciations, and says which is likely: by words near it, by its tense
 * where that counts, else by its part of speech.
 */
public final class Heteronyms {

    private static final int NEAR = 6;
    private static final String VERB = "VERB";

    /** @param tags parts of speech, or {@code PAST} and its like, which {@link Usage} knows */
    private record Way(Heteronym.Sense sense, Set<String> tags, Set<String> near) {}

    private static final Map<String, List<Way>> WAYS = read();

    private Heteronyms() {}

    private static Map<String, List<Way>> read() {
        Map<String, List<Way>> ways = new HashMap<>();
        try (InputStream in = Heteronyms.class.getResourceAsStream("heteronyms.tsv");
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            lines.lines().filter(line -> !line.startsWith("#")).forEach(line -> {
                String[] cells = line.split("\t");
                List<Way> known = new ArrayList<>();
                for (int i = 1; i < cells.length; i += 4) {
                    known.add(new Way(
                            new Heteronym.Sense(cells[i], cells[i + 1]),
                            Set.of(cells[i + 2].split(" ")),
                            Set.of(cells[i + 3].split(" "))));
                }
                ways.put(cells[0], List.copyOf(known));
            });
        } catch (IOException e) {
            throw new UncheckedIOException("The list of heteronyms can't be read. Build the application again.", e);
        }
        return Map.copyOf(ways);
    }

    /** In the order of the text. Sentences without such a word cost no more than looking for one. */
    public static List<Heteronym> in(String text) {
        List<Heteronym> found = new ArrayList<>();
        for (List<Token> sentence : Tokens.sentences(text)) {
            if (sentence.stream().anyMatch(token -> ways(token) != null)) {
                look(sentence, found);
            }
        }
        return found;
    }

    private static List<Way> ways(Token token) {
        return WAYS.get(token.text().toLowerCase(Locale.ROOT));
    }

    private static void look(List<Token> tokens, List<Heteronym> found) {
        Sentence sentence = new Sentence(tokens.stream().map(Token::text).toList());
        for (int i = 0; i < sentence.length(); i++) {
            List<Way> ways = ways(tokens.get(i));
            if (ways != null) {
                Way likely = likely(ways, sentence, i);
                List<Heteronym.Sense> senses = new ArrayList<>(List.of(likely.sense()));
                ways.stream().filter(way -> way != likely).map(Way::sense).forEach(senses::add);
                found.add(new Heteronym(tokens.get(i).start(), tokens.get(i).end(), senses));
            }
        }
    }

    private static Way likely(List<Way> ways, Sentence sentence, int at) {
        for (Way way : ways) {
            if (way.tags().stream().anyMatch(tag -> Usage.is(tag, sentence, at))) {
                return way;
            }
        }
        // of a verb and something else, neighbours often tell at once
        boolean verb = ways.stream().filter(way -> way.tags().contains(VERB)).count() == 1 && ways.size() == 2;
        Boolean clear = verb ? Clause.isVerb(sentence.words(), at) : null;
        for (Way way : ways) {
            if (Usage.anyNear(way.near(), sentence, at, NEAR) && !Boolean.TRUE.equals(clear)) {
                return way;
            }
        }
        // "household refuse goes": what a verb follows is none
        if (clear == null && verb && Usage.verbFollows(sentence, at)) {
            clear = false;
        }
        if (clear != null) {
            boolean wanted = clear;
            return ways.stream()
                    .filter(way -> way.tags().contains(VERB) == wanted)
                    .findFirst()
                    .orElse(ways.get(0));
        }
        return ways.stream()
                .filter(way -> way.tags().contains(sentence.tag(at)))
                .findFirst()
                .orElse(ways.get(0));
    }
}
