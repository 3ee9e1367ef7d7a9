package org.logophon.core.delivery;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.logophon.core.programme.Programme;
import org.logophon.core.programme.Programme.PlacedClip;
import org.logophon.core.table.SafeCell;

/** The cue sheet: one row a clip, CSV by RFC 4180, UTF-8. Cells that a spreadsheet would run are made plain text. */
public final class CueSheet implements PackagePart {

    private static final String[] HEADER = {
        "number", "file", "scene", "role", "voice", "text", "start_s", "duration_s", "loudness_lufs", "true_peak_dbtp"
    };

    @Override
    public String fileName() {
        return "cue-sheet.csv";
    }

    @Override
    public void write(Programme<DeliveredClip> programme, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        CSVPrinter csv = new CSVPrinter(
                writer, CSVFormat.RFC4180.builder().setHeader(HEADER).get());
        for (PlacedClip<DeliveredClip> placed : programme.clips()) {
            DeliveredClip clip = placed.cue();
            csv.printRecord(
                    SafeCell.of(clip.number()),
                    SafeCell.of(clip.file()),
                    SafeCell.of(clip.scene()),
                    SafeCell.of(clip.role()),
                    SafeCell.of(clip.voice()),
                    SafeCell.of(clip.text()),
                    decimal(placed.start().seconds(), 3),
                    decimal(placed.length().seconds(), 3),
                    decimal(clip.loudness().lufs(), 2),
                    decimal(clip.truePeakDbtp(), 2));
        }
        csv.flush();
    }

    private static String decimal(double value, int places) {
        return Double.isFinite(value) ? String.format(Locale.ROOT, "%." + places + "f", value) : "";
    }
}
