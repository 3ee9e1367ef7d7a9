package org.logophon.core.review.proof;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.normalization.WrittenForms;
import org.logophon.core.text.script.Word;

/** Sentences that can't be breathed, don't end, or run together. */
final class SentenceChecks implements Check {

    /** Words without a stop that one breath carries: ours. */
    static final int MOST_WORDS = 25;

    private static final Pattern STOP = Pattern.compile("[.?!…:;。！？]+[\"”’')\\]]*(?:\\s|$)|[—–](?=\\s)");
    private static final Pattern ENDED = Pattern.compile("[.?!…:;—–。！？،؟۔।][\"”“’')\\]»]*$");
    private static final Pattern TOGETHER = Pattern.compile("(?<=\\p{Ll})([.?!,;])(?=\\p{Lu}\\p{Ll})");
    private static final Pattern CLAUSE = Pattern.compile(
            "[,–—](?=\\s)|\\s(?=(?:and|but|or|because|which|while|where|when|so|although|since|until)\\s)");

    @Override
    public void look(CueToProof cue, List<Finding> found) {
        longOnes(cue, found);
        missingStop(cue, found);
        together(cue, found);
    }

    private static void longOnes(CueToProof cue, List<Finding> found) {
        if (cue.words().size() <= MOST_WORDS) {
            return;
        }
        Matcher stops = STOP.matcher(cue.text());
        int from = 0;
        while (from < cue.words().size()) {
            int stop = stops.find() ? stops.end() : cue.text().length();
            int to = from;
            while (to < cue.words().size() && cue.words().get(to).end() <= stop) {
                to++;
            }
            if (to - from > MOST_WORDS) {
                found.add(tooLong(cue.text(), cue.words().subList(from, to)));
            }
            // a word that a stop stands in belongs to what comes after
            from = stop == cue.text().length() ? cue.words().size() : to;
        }
    }

    private static Finding tooLong(String text, List<Word> words) {
        int start = words.get(0).start();
        int end = words.get(words.size() - 1).end();
        int middle = (start + end) / 2;
        Matcher clauses = CLAUSE.matcher(text).region(start, end);
        int best = -1;
        while (clauses.find()) {
            boolean inside = clauses.start() > words.get(3).end()
                    && clauses.start() < words.get(words.size() - 4).start();
            if (inside && (best < 0 || Math.abs(clauses.start() - middle) < Math.abs(best - middle))) {
                best = clauses.start();
            }
        }
        List<Suggestion> suggestions = new ArrayList<>();
        if (best >= 0) {
            int at = best;
            Word last = words.stream()
                    .filter(word -> word.end() <= at)
                    .reduce((a, b) -> b)
                    .orElseThrow();
            Word next = words.stream()
                    .filter(word -> word.start() >= at)
                    .findFirst()
                    .orElseThrow();
            suggestions.add(new Suggestion(Act.CUT, last.in(text), next.start()));
        }
        return new Finding(
                start,
                end,
                text.substring(start, end),
                FindingKind.LONG_SENTENCE,
                words.size() + " words without a stop: no room to breathe.",
                "",
                suggestions,
                false);
    }

    private static void missingStop(CueToProof cue, List<Finding> found) {
        List<Word> words = cue.words();
        if (words.isEmpty()
                || ENDED.matcher(cue.text().stripTrailing()).find()
                || cue.text().endsWith("]")
                || cue.text().endsWith(")")) {
            return;
        }
        Word last = words.get(words.size() - 1);
        String word = last.in(cue.text());
        found.add(new Finding(
                last.start(),
                last.end(),
                word,
                FindingKind.MISSING_STOP,
                "No full stop at the end: the voice stays up, and the next cue runs on.",
                "",
                List.of(new Suggestion(Act.WRITE, word + ".")),
                false));
    }

    private static void together(CueToProof cue, List<Finding> found) {
        Matcher matcher = TOGETHER.matcher(cue.text());
        while (matcher.find()) {
            int at = matcher.start();
            Word word = cue.words().stream()
                    .filter(w -> w.start() <= at && w.end() > at || w.end() == at)
                    .findFirst()
                    .orElse(null);
            boolean address = word != null
                    && WrittenForms.in(cue.language()).find(word.in(cue.text())).stream()
                            .anyMatch(f -> f.start() == 0);
            if (word != null && !address) {
                int end = Math.max(word.end(), at + 1);
                String written = cue.text().substring(word.start(), end);
                String parted = cue.text().substring(word.start(), at + 1) + " "
                        + cue.text().substring(at + 1, end);
                found.add(new Finding(
                        word.start(),
                        end,
                        written,
                        FindingKind.RUN_TOGETHER,
                        "Two sentences run together here: a space is missing.",
                        "",
                        List.of(new Suggestion(Act.WRITE, parted.strip() + (end == at + 1 ? " " : ""))),
                        false));
            }
        }
    }
}
