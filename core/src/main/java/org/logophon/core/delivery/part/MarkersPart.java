package org.logophon.core.delivery.part;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.input.table.SafeCell;

/** Scenes and open notes as markers beside the timeline: one row each, CSV by RFC 4180, UTF-8. */
public final class MarkersPart implements Part {

    @Override
    public String id() {
        return "markers";
    }

    @Override
    public String label() {
        return "Markers";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        return List.of(new PartFile("markers.csv", out -> write(delivered, out)));
    }

    private static void write(Delivered delivered, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        CSVPrinter csv = new CSVPrinter(
                writer,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader("timecode", "name", "note")
                        .get());
        for (Marker marker : Marker.of(delivered)) {
            csv.printRecord(
                    delivered.timecode(delivered.frame(marker.at())),
                    SafeCell.of(marker.name()),
                    SafeCell.of(marker.note()));
        }
        csv.flush();
    }
}
