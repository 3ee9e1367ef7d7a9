package org.logophon.core.delivery.part;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.input.table.SafeCell;
import org.logophon.core.time.programme.Programme.PlacedClip;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * The cue sheet, one row a clip: CSV by RFC 4180 whose cells a spreadsheet doesn't run, JSON for machines, and a page
 * to print.
 */
public final class SheetPart implements Part {

    /** Of the JSON; it goes up when a field changes its meaning. */
    private static final int VERSION = 1;

    private static final List<String> COLUMNS = List.of(
            "number",
            "file",
            "scene",
            "role",
            "voice",
            "text",
            "start_s",
            "duration_s",
            "loudness_lufs",
            "true_peak_dbtp");
    private static final List<String> TIMECODE = List.of("in", "out");

    private static final JsonMapper JSON =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    @Override
    public String id() {
        return "sheet";
    }

    @Override
    public String label() {
        return "Cue sheet";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        return List.of(
                new PartFile("cue-sheet.csv", out -> csv(delivered, true, out)),
                PartFile.text("cue-sheet.json", () -> json(delivered)),
                PartFile.text("cue-sheet.html", () -> SheetPage.of(delivered)));
    }

    /** The table alone, without timecode. */
    public static PartFile plain(Delivered delivered) {
        return new PartFile("cue-sheet.csv", out -> csv(delivered, false, out));
    }

    private static void csv(Delivered delivered, boolean timecode, OutputStream out) throws IOException {
        List<String> columns = new ArrayList<>(COLUMNS);
        columns.addAll(timecode ? TIMECODE : List.of());
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        CSVPrinter csv = new CSVPrinter(
                writer,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(columns.toArray(String[]::new))
                        .get());
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            DeliveredClip clip = placed.cue();
            List<String> cells = new ArrayList<>(List.of(
                    SafeCell.of(clip.number()),
                    SafeCell.of(clip.file()),
                    SafeCell.of(clip.scene()),
                    SafeCell.of(clip.role()),
                    SafeCell.of(clip.voice()),
                    SafeCell.of(clip.text()),
                    decimal(placed.start().seconds(), 3),
                    decimal(placed.length().seconds(), 3),
                    decimal(clip.loudness().lufs(), 2),
                    decimal(clip.truePeakDbtp(), 2)));
            if (timecode) {
                cells.add(in(delivered, placed));
                cells.add(out(delivered, placed));
            }
            csv.printRecord(cells);
        }
        csv.flush();
    }

    static String in(Delivered delivered, PlacedClip<DeliveredClip> placed) {
        return delivered.timecode(delivered.frame(placed.start()));
    }

    /** The frame after it. */
    static String out(Delivered delivered, PlacedClip<DeliveredClip> placed) {
        return delivered.timecode(delivered.frameFrom(placed.end()));
    }

    static String decimal(double value, int places) {
        return Double.isFinite(value) ? String.format(Locale.ROOT, "%." + places + "f", value) : "";
    }

    private static String json(Delivered delivered) {
        List<Map<String, Object>> cues = new ArrayList<>();
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            DeliveredClip clip = placed.cue();
            Map<String, Object> cue = new LinkedHashMap<>();
            cue.put("number", clip.number());
            cue.put("file", clip.file());
            cue.put("scene", clip.scene());
            cue.put("role", clip.role());
            cue.put("voice", clip.voice());
            cue.put("text", clip.text());
            cue.put("in", in(delivered, placed));
            cue.put("out", out(delivered, placed));
            cue.put("startSamples", placed.start().samples());
            cue.put("lengthSamples", placed.length().samples());
            cue.put("loudnessLufs", finite(clip.loudness().lufs()));
            cue.put("truePeakDbtp", finite(clip.truePeakDbtp()));
            cues.add(cue);
        }
        Map<String, Object> sheet = new LinkedHashMap<>();
        sheet.put("version", VERSION);
        sheet.put("title", delivered.title());
        sheet.put("language", delivered.language());
        sheet.put("frameRate", delivered.rate().id());
        sheet.put("start", delivered.timecode(0));
        sheet.put("lengthSamples", delivered.programme().length().samples());
        sheet.put("cues", cues);
        return JSON.writeValueAsString(sheet);
    }

    private static Double finite(double value) {
        return Double.isFinite(value) ? Math.round(value * 100) / 100.0 : null;
    }
}
