package org.logophon.core.time.picture;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;

/** A table or a plain list of times, in timecode or seconds: in and out, in and length, or each until the next one. */
final class TableTimes {

    private static final Map<String, List<String>> NAMES = Map.of(
            "in",
                    List.of(
                            "in",
                            "start",
                            "begin",
                            "record in",
                            "from",
                            "timecode",
                            "time",
                            "tc in",
                            "start time",
                            "timecode in"),
            "out", List.of("out", "end", "stop", "record out", "to", "tc out", "end time", "timecode out"),
            "length", List.of("length", "duration", "dur", "runs", "seconds"),
            "number", List.of("number", "no", "no.", "#", "cue", "shot", "id", "event", "nr"),
            "name", List.of("name", "title", "text", "description", "note", "label", "clip", "scene"));

    /** A last line that says no end leaves so long. */
    private static final long LAST_SECONDS = 10;

    private TableTimes() {}

    /** Where what stands; −1 for nowhere. */
    private record Columns(int in, int out, int length, int number, int name) {}

    static PictureTimes read(String text, FrameRate rate) {
        List<CSVRecord> rows = rows(text);
        if (rows.isEmpty()) {
            return new PictureTimes("a list of times", List.of(), List.of());
        }
        boolean headed = isTime(rows.get(0), rate) < 0;
        Columns columns = headed ? named(rows.get(0)) : bare(rows.get(0), rate);
        if (columns.in() < 0) {
            throw new InvalidInput("None of the columns is a start: "
                    + String.join(", ", rows.get(0).toList()) + ". Call one of them in or start.");
        }
        List<PictureSlot> slots = new ArrayList<>();
        List<SampleCount> starts = new ArrayList<>();
        for (CSVRecord row : rows.subList(headed ? 1 : 0, rows.size())) {
            if (cell(row, columns.in()).isEmpty()) {
                continue;
            }
            SampleCount in = time(row, columns.in(), rate);
            SampleCount out = !cell(row, columns.out()).isEmpty()
                    ? time(row, columns.out(), rate)
                    : !cell(row, columns.length()).isEmpty() ? in.plus(time(row, columns.length(), rate)) : null;
            starts.add(in);
            slots.add(new PictureSlot(
                    cell(row, columns.number()), cell(row, columns.name()), in, out == null ? in : out));
        }
        boolean starting = columns.out() < 0 && columns.length() < 0;
        return new PictureTimes(
                headed ? "a table" : "a list of times",
                starting ? untilNext(slots) : slots,
                headed ? said(rows.get(0), columns) : List.of());
    }

    private static List<PictureSlot> untilNext(List<PictureSlot> slots) {
        List<PictureSlot> until = new ArrayList<>();
        for (int i = 0; i < slots.size(); i++) {
            PictureSlot slot = slots.get(i);
            SampleCount out = i + 1 < slots.size()
                    ? slots.get(i + 1).in()
                    : slot.in().plus(SampleCount.ofMillis(LAST_SECONDS * 1_000));
            until.add(new PictureSlot(slot.number(), slot.name(), slot.in(), out));
        }
        return until;
    }

    private static List<CSVRecord> rows(String text) {
        String first = text.lines().findFirst().orElse("");
        char delimiter = first.indexOf('\t') >= 0
                ? '\t'
                : count(first, ';') > count(first, ',') && !first.matches(".*\\d;\\d.*") ? ';' : ',';
        try {
            return CSVFormat.RFC4180
                    .builder()
                    .setDelimiter(delimiter)
                    .setIgnoreEmptyLines(true)
                    .setTrim(true)
                    .get()
                    .parse(new StringReader(text))
                    .getRecords();
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            throw new InvalidInput(
                    "This table can't be read: a quotation mark that opens a cell isn't closed. Save it as CSV anew.");
        }
    }

    private static long count(String text, char wanted) {
        return text.chars().filter(c -> c == wanted).count();
    }

    private static Columns named(CSVRecord head) {
        return new Columns(
                column(head, "in"),
                column(head, "out"),
                column(head, "length"),
                column(head, "number"),
                column(head, "name"));
    }

    private static int column(CSVRecord head, String what) {
        for (String name : NAMES.get(what)) {
            for (int i = 0; i < head.size(); i++) {
                if (head.get(i)
                        .toLowerCase(Locale.ROOT)
                        .replace('_', ' ')
                        .replaceAll("\\(.*\\)", "")
                        .strip()
                        .equals(name)) {
                    return i;
                }
            }
        }
        return -1;
    }

    /** Without a header the first time is the start, and a second one the end. */
    private static Columns bare(CSVRecord row, FrameRate rate) {
        int in = isTime(row, rate);
        int out = in + 1 < row.size() && time(row.get(in + 1), rate) != null ? in + 1 : -1;
        int name = Math.max(in, out) + 1 < row.size() ? Math.max(in, out) + 1 : -1;
        return new Columns(in, out, -1, in > 0 ? 0 : -1, name);
    }

    private static int isTime(CSVRecord row, FrameRate rate) {
        for (int i = 0; i < row.size(); i++) {
            boolean number = row.get(i).matches("\\d{1,4}") && row.size() > 1;
            if (!number && time(row.get(i), rate) != null) {
                return i;
            }
        }
        return -1;
    }

    private static String cell(CSVRecord row, int column) {
        return column < 0 || column >= row.size() ? "" : row.get(column);
    }

    private static SampleCount time(CSVRecord row, int column, FrameRate rate) {
        SampleCount time = time(cell(row, column), rate);
        if (time == null) {
            throw new InvalidInput("Row " + row.getRecordNumber() + ": " + wrong(cell(row, column), rate));
        }
        return time;
    }

    private static String wrong(String cell, FrameRate rate) {
        try {
            Timecode.typed(cell, rate, 0);
            return "\"" + cell + "\" is no time.";
        } catch (InvalidInput why) {
            return why.getMessage();
        }
    }

    /** Seconds have a point, or stand alone; everything with colons is timecode, or a clock with milliseconds. */
    private static SampleCount time(String cell, FrameRate rate) {
        if (cell.matches("\\d{1,6}([.,]\\d{1,6})?(\\s*s)?")) {
            return SampleCount.nearest(Double.parseDouble(cell.replace(',', '.').replaceAll("\\s*s", "")));
        }
        if (cell.matches("(\\d{1,2}:)?\\d{1,2}:\\d{1,2}[.,]\\d{3}")) {
            String[] parts = cell.split(":");
            double seconds = 0;
            for (String part : parts) {
                seconds = seconds * 60 + Double.parseDouble(part.replace(',', '.'));
            }
            return SampleCount.nearest(seconds);
        }
        try {
            return cell.matches("[\\d:;.,]{4,14}")
                    ? new SampleCount(
                            rate.firstSample(Timecode.typed(cell, rate, 0).frame(), SampleCount.RATE))
                    : null;
        } catch (InvalidInput none) {
            return null;
        }
    }

    private static List<String> said(CSVRecord head, Columns columns) {
        List<String> said = new ArrayList<>();
        add(said, "start", head, columns.in());
        add(said, "end", head, columns.out());
        add(said, "length", head, columns.length());
        add(said, "number", head, columns.number());
        add(said, "name", head, columns.name());
        return said;
    }

    private static void add(List<String> said, String what, CSVRecord head, int column) {
        if (column >= 0) {
            said.add(what + ": " + head.get(column));
        }
    }
}
