package org.logophon.core.text.script;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;

/**
 * The splitter of paragraphs into cues: joins what belongs together, splits it the way that was asked for, then does
 * what hands have done.
 */
final class CueSplitter {

    private final Splitting splitting;
    private final HandCuts cuts;
    private final String language;
    private final List<Integer> forced = new ArrayList<>();
    private final List<ScriptCue> cues = new ArrayList<>();

    CueSplitter(Splitting splitting, HandCuts cuts, String language) {
        this.splitting = splitting;
        this.cuts = cuts;
        this.language = language;
    }

    /** Paragraphs that are spoken as one: all of one role and one scene. */
    private record ParagraphRun(int start, int end, String scene, String role, MappedText passage) {}

    List<Integer> forced() {
        return forced;
    }

    List<ScriptCue> split(List<Paragraph> paragraphs) {
        for (ParagraphRun run : runs(paragraphs)) {
            add(run);
        }
        return cues;
    }

    private List<ParagraphRun> runs(List<Paragraph> paragraphs) {
        List<ParagraphRun> runs = new ArrayList<>();
        for (Paragraph paragraph : paragraphs) {
            if (splitting.mode() == SplitMode.LINE) {
                lines(paragraph, runs);
                continue;
            }
            ParagraphRun next = new ParagraphRun(
                    paragraph.start(), paragraph.end(), paragraph.scene(), paragraph.role(), paragraph.passage());
            ParagraphRun last = runs.isEmpty() ? null : runs.get(runs.size() - 1);
            if (last != null
                    && together(paragraph)
                    && last.role().equals(next.role())
                    && last.scene().equals(next.scene())) {
                runs.set(runs.size() - 1, joined(last, next));
            } else {
                runs.add(next);
            }
        }
        return handJoined(runs);
    }

    private boolean together(Paragraph paragraph) {
        return switch (splitting.mode()) {
            case TWO_BLANK_LINES -> paragraph.blanks() < 2;
            case HEADING, CHARACTERS, WORDS, SECONDS -> !paragraph.afterDivider();
            case DIVIDER -> paragraph.blanks() < Paragraph.APART;
            default -> false;
        };
    }

    private static void lines(Paragraph paragraph, List<ParagraphRun> runs) {
        List<MappedText> lines =
                paragraph.lines().stream().filter(line -> !line.isEmpty()).toList();
        for (int i = 0; i < lines.size(); i++) {
            MappedText line = lines.get(i);
            int start = i == 0 ? paragraph.start() : line.places()[0];
            int end = i == lines.size() - 1
                    ? paragraph.end()
                    : lines.get(i).places()[line.text().length() - 1] + 1;
            runs.add(new ParagraphRun(start, end, paragraph.scene(), paragraph.role(), line));
        }
    }

    /** A join made by hand takes away the end of a paragraph, but not of a scene or a role. */
    private List<ParagraphRun> handJoined(List<ParagraphRun> runs) {
        if (cuts.joins().isEmpty()) {
            return runs;
        }
        List<ParagraphRun> joined = new ArrayList<>();
        for (ParagraphRun run : runs) {
            ParagraphRun last = joined.isEmpty() ? null : joined.get(joined.size() - 1);
            boolean join = last != null
                    && !run.passage().isEmpty()
                    && cuts.joins().contains(run.passage().places()[0])
                    && last.role().equals(run.role())
                    && last.scene().equals(run.scene());
            if (join) {
                joined.set(joined.size() - 1, joined(last, run));
            } else {
                joined.add(run);
            }
        }
        return joined;
    }

    private static ParagraphRun joined(ParagraphRun first, ParagraphRun second) {
        return new ParagraphRun(
                first.start(),
                second.end(),
                first.scene(),
                first.role(),
                first.passage().then(second.passage()));
    }

    /**
     * A cut is never inside a word, nor between a word and the marks that touch it; where no spaces are written, words
     * are cut apart.
     */
    private static int wordStart(String text, int index) {
        if (index >= text.length() || text.charAt(index) == ' ') {
            return index;
        }
        int chunk = text.lastIndexOf(' ', index) + 1;
        int end = text.indexOf(' ', index) < 0 ? text.length() : text.indexOf(' ', index);
        List<Word> words = Words.of(text.substring(chunk, end));
        return words.size() < 2
                ? chunk
                : words.stream()
                        .mapToInt(word -> chunk + word.start())
                        .filter(start -> start <= index)
                        .max()
                        .orElse(chunk);
    }

    private void add(ParagraphRun run) {
        MappedText passage = run.passage();
        if (passage.isEmpty()) {
            return;
        }
        TreeSet<Integer> ends = new TreeSet<>();
        TreeSet<Integer> inSentence = new TreeSet<>();
        if (splitting.mode() == SplitMode.SENTENCE) {
            ends.addAll(Sentences.ends(passage.text(), language));
        } else if (splitting.mode().sized()) {
            SizeSplitter.ends(passage.text(), splitting, language, ends, inSentence);
        }
        ends.removeIf(end -> end < passage.text().length() && cuts.joins().contains(passage.places()[end]));
        for (int place : cuts.splits()
                .subSet(passage.places()[0] + 1, passage.places()[passage.text().length() - 1] + 1)) {
            ends.add(wordStart(passage.text(), passage.at(place)));
        }
        ends.add(passage.text().length());
        int from = 0;
        for (int end : ends) {
            MappedText piece = passage.cut(from, end);
            if (!piece.isEmpty()) {
                int start = from == 0 ? run.start() : piece.places()[0];
                int stop = end == passage.text().length()
                        ? run.end()
                        : piece.places()[piece.text().length() - 1] + 1;
                if (inSentence.contains(end)) {
                    forced.add(cues.size());
                }
                cues.add(new ScriptCue(start, stop, run.scene(), run.role(), piece.text(), piece.places()));
            }
            from = end;
        }
    }
}
