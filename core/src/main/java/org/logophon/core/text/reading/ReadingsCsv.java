package org.logophon.core.text.reading;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.table.SafeCell;

/** Readings as CSV (RFC 4180): written, said, as, language, case. Only the first two are needed. */
public final class ReadingsCsv {

    private static final String[] HEADER = {"written", "said", "as", "language", "case"};

    private ReadingsCsv() {}

    public static String write(List<Reading> readings) {
        StringWriter out = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(
                out, CSVFormat.RFC4180.builder().setHeader(HEADER).get())) {
            for (Reading reading : readings) {
                printer.printRecord(
                        SafeCell.of(reading.written()),
                        SafeCell.of(reading.said()),
                        reading.kind().id(),
                        reading.language(),
                        reading.matchCase() ? "match" : "any");
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    static ReadingsFile read(String text) {
        List<Reading> readings = new ArrayList<>();
        List<String> skipped = new ArrayList<>();
        char delimiter = text.lines().findFirst().orElse("").contains(";") ? ';' : ',';
        try (CSVParser rows = CSVFormat.RFC4180
                .builder()
                .setDelimiter(delimiter)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new StringReader(text))) {
            for (CSVRecord row : rows) {
                if (row.getRecordNumber() == 1
                        && "written".equals(row.get(0).strip().toLowerCase(Locale.ROOT))) {
                    continue;
                }
                try {
                    readings.add(reading(row));
                } catch (InvalidInput bad) {
                    skipped.add("Row " + row.getRecordNumber() + " was left out: " + bad.getMessage());
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException malformed) {
            throw new InvalidInput("This file is no list of readings: neither CSV with written and said, nor PLS.");
        }
        if (readings.isEmpty() && skipped.isEmpty()) {
            throw new InvalidInput("This file holds no readings. Each row has a written form and how it is said.");
        }
        return new ReadingsFile(readings, skipped);
    }

    private static Reading reading(CSVRecord row) {
        String as = cell(row, 2);
        return new Reading(
                SafeCell.plain(cell(row, 0)),
                SafeCell.plain(cell(row, 1)),
                as.isBlank() ? PronunciationKind.WORDS : PronunciationKind.of(as),
                cell(row, 3),
                "match".equalsIgnoreCase(cell(row, 4).strip()));
    }

    private static String cell(CSVRecord row, int index) {
        return index < row.size() ? row.get(index) : "";
    }
}
