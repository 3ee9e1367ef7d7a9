package org.logophon.documents;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.logophon.core.text.dictionary.Dictionary;
import org.logophon.documents.PdfLines.Line;

/**
 * PDF as a reader sees it: lines become paragraphs by their distance, indentation and length; words that are broken at
 * a line's end are whole again; heads, feet and page numbers that come page after page are left out and listed.
 */
final class PdfFile {

    /** So much further apart than the lines of a paragraph. Ours, as all here. */
    private static final double APART = 1.35;
    /** In heights of the type. */
    private static final double INDENTED = 0.8;
    /** Of a column's width: a line that ends so far before it ends a paragraph with its sentence. */
    private static final double SHORT = 0.15;

    private static final double LARGER = 1.15;
    private static final int LONGEST_HEADING = 120;
    private static final float SAME_PLACE = 4;
    private static final int LONGEST_WORD = 60;
    private static final Pattern PAGE_NUMBER = Pattern.compile(
            "(?i)[-–— ]*(?:(?:page|seite|p\\.) ?)?(?:\\d{1,4}|[ivxlc]{1,7})(?: ?(?:/|of|von) ?\\d{1,4})?[-–— ]*");
    /** What browsers print over and under a page: when, and from where. */
    private static final Pattern BROWSERS =
            Pattern.compile("\\d{1,2}/\\d{1,2}/\\d{2,4}, \\d{1,2}:\\d\\d.*|(?:https?|file)://\\S+(?: \\d+/\\d+)?");

    private static final Pattern SPEAKS = Pattern.compile("\\p{Lu}[\\p{Lu}\\p{N}.'’ -]{1,38}:(?:\\s.*|$)");
    private static final Pattern NAME = Pattern.compile("\\p{Lu}[\\p{Lu}\\p{N}.'’ -]{1,38}(?: ?\\([^)]{1,12}\\))?");
    private static final Pattern BROKEN = Pattern.compile("(\\p{L}+)[-\u2010\u00AD]$");

    private final ScriptText script = new ScriptText();
    private final List<String> skipped = new ArrayList<>();
    private final StringBuilder paragraph = new StringBuilder();
    private final StringBuilder headings = new StringBuilder();
    private Line last;
    private boolean lastWasHeading;
    private boolean lastWasFull;

    private PdfFile() {}

    static OpenedDocument read(String name, byte[] bytes, int mostCharacters) throws IOException {
        PdfFile file = new PdfFile();
        try (PDDocument document = Loader.loadPDF(bytes)) {
            file.read(PdfLines.of(document, mostCharacters));
        }
        return OpenedDocument.ofText(name, "PDF", file.script.toString(), file.skipped);
    }

    private void read(List<Line> all) {
        List<Line> lines = withoutHeadsAndFeet(all);
        if (lines.isEmpty()) {
            return;
        }
        float body = bodySize(lines);
        for (List<Line> column : columns(lines)) {
            column(column, body);
        }
        headed();
        close();
    }

    // --- heads and feet

    private List<Line> withoutHeadsAndFeet(List<Line> all) {
        Map<Integer, List<Line>> pages = all.stream().collect(Collectors.groupingBy(Line::page));
        Map<String, Integer> times = new HashMap<>();
        pages.values()
                .forEach(page -> edges(page).stream()
                        .map(PdfFile::key)
                        .distinct()
                        .forEach(key -> times.merge(key, 1, Integer::sum)));
        Set<Line> gone = new HashSet<>();
        int numbers = 0;
        for (List<Line> page : pages.values()) {
            for (Line line : edges(page)) {
                if (page.size() > 1 && BROWSERS.matcher(line.text()).matches()) {
                    gone.add(line);
                } else if (page.size() > 1 && PAGE_NUMBER.matcher(line.text()).matches()) {
                    numbers += gone.add(line) ? 1 : 0;
                } else if (times.get(key(line)) > 1 && 2 * times.get(key(line)) >= pages.size()) {
                    gone.add(line);
                }
            }
        }
        ScriptHandler.say(
                skipped, gone.size() - numbers, "header or footer was", "headers or footers were", " left out.");
        ScriptHandler.say(skipped, numbers, "page number was", "page numbers were", " left out.");
        return all.stream().filter(line -> !gone.contains(line)).toList();
    }

    /** The two uppermost and the two lowest lines of a page. */
    private static Set<Line> edges(List<Line> page) {
        List<Line> sorted =
                page.stream().sorted(Comparator.comparing(Line::down)).toList();
        Set<Line> edges = new HashSet<>(sorted.subList(0, Math.min(2, sorted.size())));
        edges.addAll(sorted.subList(Math.max(0, sorted.size() - 2), sorted.size()));
        return edges;
    }

    private static String key(Line line) {
        return Math.round(line.down() / SAME_PLACE) + " " + line.text().replaceAll("\\d+", "#");
    }

    // --- columns and paragraphs

    /** What nearly all is set in. */
    private static float bodySize(List<Line> lines) {
        Map<Float, Integer> letters = new HashMap<>();
        lines.forEach(line -> letters.merge(line.size(), line.text().length(), Integer::sum));
        return letters.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
    }

    /** A line that stands higher than the one before it begins another column. */
    private static List<List<Line>> columns(List<Line> lines) {
        List<List<Line>> columns = new ArrayList<>();
        Line before = null;
        for (Line line : lines) {
            if (before == null || line.page() != before.page() || line.down() < before.down() - line.size() / 2) {
                columns.add(new ArrayList<>());
            }
            columns.get(columns.size() - 1).add(line);
            before = line;
        }
        return columns;
    }

    private void column(List<Line> column, float body) {
        double left = column.stream().mapToDouble(Line::left).min().orElse(0);
        double right = column.stream().mapToDouble(Line::right).max().orElse(0);
        double leading = leading(column);
        for (int i = 0; i < column.size(); i++) {
            Line line = column.get(i);
            boolean heading = line.size() > body * LARGER && line.text().length() <= LONGEST_HEADING;
            if (last != null) {
                boolean shortLast = last.right() < right - SHORT * (right - left);
                boolean indented = line.left() > left + INDENTED * line.size()
                        && Math.abs(line.left() - last.left()) > INDENTED * line.size() / 2;
                boolean another = i == 0
                        ? last.endsSentence() && (!lastWasFull || indented)
                        : line.down() - last.down() > APART * leading || indented || last.endsSentence() && shortLast;
                if (another
                        || heading
                        || lastWasHeading
                        || SPEAKS.matcher(line.text()).matches()) {
                    close();
                }
            }
            if (heading) {
                close();
                headings.append(headings.isEmpty() ? "" : " ").append(line.text());
            } else {
                headed();
                append(line);
            }
            last = line;
            lastWasHeading = heading;
            lastWasFull = line.right() >= right - line.size();
        }
    }

    /** The usual distance of two lines. */
    private static double leading(List<Line> column) {
        List<Double> distances = new ArrayList<>();
        for (int i = 1; i < column.size(); i++) {
            double distance = column.get(i).down() - column.get(i - 1).down();
            if (distance > column.get(i).size() / 2) {
                distances.add(distance);
            }
        }
        return distances.isEmpty()
                ? Double.MAX_VALUE
                : distances.stream().sorted().toList().get((distances.size() - 1) / 4);
    }

    private void headed() {
        if (!headings.isEmpty()) {
            script.heading(headings.toString());
            headings.setLength(0);
        }
    }

    private void close() {
        if (!paragraph.isEmpty()) {
            script.paragraph(paragraph.toString());
            paragraph.setLength(0);
        }
    }

    private void append(Line line) {
        // only the last word is looked at: a page without paragraphs is looked through once, not once a line
        var broken =
                BROKEN.matcher(paragraph).region(Math.max(0, paragraph.length() - LONGEST_WORD), paragraph.length());
        boolean letters =
                !line.text().isEmpty() && Character.isLowerCase(line.text().charAt(0));
        if (letters && broken.find()) {
            String second = line.text().split("[^\\p{L}]", 2)[0];
            if (joined(broken.group(1), second, paragraph.charAt(paragraph.length() - 1))) {
                paragraph.setLength(paragraph.length() - 1);
            }
        } else if (!paragraph.isEmpty()) {
            // what a speaker says stands under the name, as in screenplays
            paragraph.append(NAME.matcher(paragraph).matches() ? '\n' : ' ');
        }
        paragraph.append(line.text());
    }

    /** True where a hyphen at a line's end breaks one word, and doesn't join two. */
    private static boolean joined(String first, String second, char hyphen) {
        Dictionary words = Dictionary.english();
        String whole = (first + second).toLowerCase(Locale.ROOT);
        return hyphen == '\u00AD'
                || words.knows(whole)
                || !(words.knows(first.toLowerCase(Locale.ROOT)) && words.knows(second.toLowerCase(Locale.ROOT)));
    }
}
