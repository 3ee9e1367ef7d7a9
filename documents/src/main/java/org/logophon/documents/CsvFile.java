package org.logophon.documents;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.logophon.core.text.script.Slot;

/** Tables with a row a cue: number, role, text, in and out by the names of their columns. Only the text is needed. */
final class CsvFile {

    private static final Map<String, List<String>> NAMES = new LinkedHashMap<>();

    static {
        NAMES.put(
                "text",
                List.of(
                        "text",
                        "script",
                        "narration",
                        "voiceover",
                        "voice over",
                        "line",
                        "dialogue",
                        "words",
                        "audio",
                        "spoken"));
        NAMES.put("role", List.of("role", "speaker", "character", "who", "voice"));
        NAMES.put("number", List.of("number", "no", "no.", "nr", "#", "cue", "id"));
        NAMES.put("in", List.of("in", "start", "tc in", "from", "time in", "begin"));
        NAMES.put("out", List.of("out", "end", "tc out", "to", "time out", "until"));
    }

    private CsvFile() {}

    static OpenedDocument read(
            String fileName, String name, String text, Map<String, Integer> asked, List<String> remarks) {
        List<CSVRecord> rows = rows(fileName, text);
        List<String> header = header(rows);
        Map<String, Integer> columns = asked.isEmpty() ? byHeader(header) : asked;
        boolean headed = !byHeader(header).isEmpty();
        Integer words = columns.get("text");
        if (words == null) {
            words = header.size() == 1 ? 0 : longest(rows, header.size());
            remarks.add("No column is named text, so column " + (words + 1)
                    + " with the most words was taken as the text.");
        }
        ScriptText script = new ScriptText();
        List<Slot> slots = new ArrayList<>();
        List<String> numbers = new ArrayList<>();
        int empty = 0;
        int badTimes = 0;
        for (CSVRecord row : headed ? rows.subList(1, rows.size()) : rows) {
            String spoken = ScriptText.oneLine(cell(row, words));
            if (spoken.isEmpty()) {
                empty++;
                continue;
            }
            script.cue(RoleNames.fit(cell(row, columns.get("role"))), spoken);
            String number = cell(row, columns.get("number")).strip();
            numbers.add(number.matches("[\\p{L}\\p{N}_.-]{1,20}") ? number : null);
            String from = cell(row, columns.get("in"));
            String to = cell(row, columns.get("out"));
            int in = SlotTimes.millis(from);
            int out = SlotTimes.millis(to);
            slots.add(in >= 0 && out > in ? new Slot(in, out) : null);
            badTimes += slots.get(slots.size() - 1) == null && !(from + to).isBlank() ? 1 : 0;
        }
        ScriptHandler.say(remarks, empty, "row without text was", "rows without text were", " left out.");
        ScriptHandler.say(
                remarks,
                badTimes,
                "row has",
                "rows have",
                " times that are none or run backwards; the words were taken, the times were not.");
        boolean unlike = numbers.stream().filter(n -> n != null).distinct().count()
                < numbers.stream().filter(n -> n != null).count();
        if (unlike) {
            remarks.add("Some numbers stand twice, so the cues are numbered anew.");
        }
        List<String> kept = unlike || numbers.stream().allMatch(n -> n == null) ? List.of() : numbers;
        List<Slot> timed = slots.stream().allMatch(s -> s == null) ? List.of() : slots;
        return new OpenedDocument(
                name,
                "table",
                script.toString(),
                java.util.Collections.unmodifiableList(timed),
                java.util.Collections.unmodifiableList(kept),
                List.copyOf(remarks),
                taken(header, columns, words));
    }

    private static List<OpenedDocument.Column> taken(List<String> header, Map<String, Integer> columns, int words) {
        List<OpenedDocument.Column> taken = new ArrayList<>();
        for (int i = 0; i < header.size(); i++) {
            int index = i;
            String as = i == words
                    ? "text"
                    : columns.entrySet().stream()
                            .filter(e -> e.getValue() == index)
                            .map(Map.Entry::getKey)
                            .findFirst()
                            .orElse("");
            taken.add(new OpenedDocument.Column(i, header.get(i), as));
        }
        return taken;
    }

    private static List<CSVRecord> rows(String fileName, String text) {
        String firstLine = text.split("\\R", 2)[0];
        char delimiter = ',';
        for (char candidate : new char[] {'\t', ';'}) {
            delimiter = count(firstLine, candidate) > count(firstLine, delimiter) ? candidate : delimiter;
        }
        try (CSVParser parser = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new StringReader(text))) {
            List<CSVRecord> rows = parser.getRecords();
            if (rows.isEmpty()) {
                throw new DocumentUnusable(fileName + " has no rows. Give a table with a row a cue.");
            }
            return rows;
        } catch (IOException | UncheckedIOException | IllegalStateException malformed) {
            throw new DocumentUnusable(fileName
                    + " is no table that can be read: a quotation mark isn't closed, or stands inside a cell alone.");
        }
    }

    private static long count(String line, char sign) {
        return line.chars().filter(c -> c == sign).count();
    }

    private static List<String> header(List<CSVRecord> rows) {
        List<String> header = new ArrayList<>();
        rows.get(0).forEach(cell -> header.add(cell.strip()));
        return header;
    }

    private static Map<String, Integer> byHeader(List<String> header) {
        Map<String, Integer> found = new LinkedHashMap<>();
        NAMES.forEach((field, names) -> {
            for (String name : names) {
                for (int i = 0; i < header.size(); i++) {
                    if (header.get(i).toLowerCase(Locale.ROOT).equals(name) && !found.containsValue(i)) {
                        found.putIfAbsent(field, i);
                    }
                }
            }
        });
        return found;
    }

    private static int longest(List<CSVRecord> rows, int columns) {
        int best = 0;
        long most = -1;
        for (int i = 0; i < columns; i++) {
            int column = i;
            long letters =
                    rows.stream().mapToLong(row -> cell(row, column).length()).sum();
            if (letters > most) {
                most = letters;
                best = i;
            }
        }
        return best;
    }

    private static String cell(CSVRecord row, Integer column) {
        return column == null || column < 0 || column >= row.size() ? "" : row.get(column);
    }
}
