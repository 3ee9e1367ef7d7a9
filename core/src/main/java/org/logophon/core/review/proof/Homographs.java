package org.logophon.core.review.proof;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.logophon.core.text.script.Word;

/**
 * Words of one spelling and two pronunciations: {@code homographs.tsv} has the word, then each reading as a respelling,
 * what it
 * means, and the words before it that call for it; the engine's own choice stands first.
 */
final class Homographs implements Check {

    private record Sense(String respelling, String meaning, Set<String> after) {}

    private final Map<String, List<Sense>> ways = new HashMap<>();

    Homographs() {
        try (InputStream in = Homographs.class.getResourceAsStream("homographs.tsv");
                BufferedReader lines = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            lines.lines()
                    .filter(line -> !line.startsWith("#") && !line.isBlank())
                    .forEach(this::add);
        } catch (IOException e) {
            throw new UncheckedIOException("The list of homographs can't be read. Build the application again.", e);
        }
    }

    private void add(String line) {
        String[] cells = line.split("\t", -1);
        List<Sense> known = new ArrayList<>();
        for (int i = 1; i + 1 < cells.length; i += 3) {
            Set<String> after = i + 2 < cells.length ? Set.copyOf(Arrays.asList(cells[i + 2].split(" "))) : Set.of();
            known.add(new Sense(cells[i], cells[i + 1], after));
        }
        ways.put(cells[0], List.copyOf(known));
    }

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        if (!cue.english()) {
            return;
        }
        List<Word> words = cue.words();
        for (int i = 0; i < words.size(); i++) {
            Word word = words.get(i);
            List<Sense> known = ways.get(word.in(cue.text()).toLowerCase(Locale.ROOT));
            if (known != null && !cue.settled(word.start(), word.end())) {
                String before = i == 0 ? "" : words.get(i - 1).in(cue.text()).toLowerCase(Locale.ROOT);
                found.add(finding(word, word.in(cue.text()), known, before));
            }
        }
    }

    private static Finding finding(Word word, String written, List<Sense> known, String before) {
        Sense engine = known.get(0);
        Sense likely = known.stream()
                .filter(way -> way.after().contains(before))
                .findFirst()
                .orElse(engine);
        List<Suggestion> suggestions = new ArrayList<>(List.of(Suggestion.say(likely.respelling())));
        known.stream().filter(way -> way != likely).forEach(way -> suggestions.add(Suggestion.say(way.respelling())));
        StringBuilder reason = new StringBuilder("Two pronunciations: ");
        for (int i = 0; i < known.size(); i++) {
            reason.append(i == 0 ? "" : ", or ")
                    .append("“")
                    .append(known.get(i).respelling())
                    .append("” (")
                    .append(known.get(i).meaning())
                    .append(")");
        }
        boolean clear = known.stream().anyMatch(way -> way.after().contains(before));
        return new Finding(
                word.start(),
                word.end(),
                written,
                FindingKind.HOMOGRAPH,
                reason.append('.').toString(),
                engine.respelling(),
                suggestions,
                clear && likely == engine);
    }
}
