package org.logophon.core.delivery;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.logophon.core.table.SafeCell;

/** The cue sheet: one row a clip, CSV by RFC 4180, UTF-8. Cells that a spreadsheet would run are made plain text. */
public final class CueSheet {

    private static final String[] HEADER = {
        "number", "file", "scene", "role", "voice", "text", "start_s", "duration_s", "loudness_lufs", "true_peak_dbtp"
    };

    private CueSheet() {}

    /**
     * @param startSeconds in the programme
     */
    public record Row(
            String number,
            String file,
            String scene,
            String role,
            String voice,
            String text,
            double startSeconds,
            double durationSeconds,
            double loudnessLufs,
            double truePeakDbtp) {}

    public static void write(List<Row> rows, Appendable out) throws IOException {
        CSVPrinter csv = new CSVPrinter(
                out, CSVFormat.RFC4180.builder().setHeader(HEADER).get());
        for (Row row : rows) {
            csv.printRecord(
                    SafeCell.of(row.number()),
                    SafeCell.of(row.file()),
                    SafeCell.of(row.scene()),
                    SafeCell.of(row.role()),
                    SafeCell.of(row.voice()),
                    SafeCell.of(row.text()),
                    decimal(row.startSeconds(), 3),
                    decimal(row.durationSeconds(), 3),
                    decimal(row.loudnessLufs(), 2),
                    decimal(row.truePeakDbtp(), 2));
        }
        csv.flush();
    }

    private static String decimal(double value, int places) {
        return Double.isFinite(value) ? String.format(Locale.ROOT, "%." + places + "f", value) : "";
    }
}
