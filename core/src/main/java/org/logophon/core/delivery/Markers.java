package org.logophon.core.delivery;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.logophon.core.programme.Programme;
import org.logophon.core.programme.Programme.PlacedClip;
import org.logophon.core.programme.SampleCount;
import org.logophon.core.table.SafeCell;
import org.logophon.core.timecode.FrameRate;
import org.logophon.core.timecode.Timecode;

/** Notes as markers beside the timeline: one row a note, CSV by RFC 4180, UTF-8. */
public final class Markers implements PackagePart {

    private final List<Marker> markers;
    private final FrameRate rate;
    private final long start;

    /** @param rate that timecode counts in. @param start of the programme, in frames */
    public Markers(List<Marker> markers, FrameRate rate, long start) {
        this.markers = List.copyOf(markers);
        this.rate = rate;
        this.start = start;
    }

    /**
     * A note at a place in a clip.
     *
     * @param number  of the cue
     * @param seconds from the clip's start
     * @param name    what it is called: the word
     */
    public record Marker(String number, double seconds, String name, String note) {}

    @Override
    public String fileName() {
        return "markers.csv";
    }

    @Override
    public void write(Programme<DeliveredClip> programme, OutputStream out) throws IOException {
        Writer writer = new OutputStreamWriter(out, StandardCharsets.UTF_8);
        CSVPrinter csv = new CSVPrinter(
                writer,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader("timecode", "name", "note")
                        .get());
        for (PlacedClip<DeliveredClip> placed : programme.clips()) {
            List<Marker> here = markers.stream()
                    .filter(marker -> marker.number().equals(placed.cue().number()))
                    .sorted(Comparator.comparingDouble(Marker::seconds))
                    .toList();
            for (Marker marker : here) {
                SampleCount at = placed.start().plus(SampleCount.nearest(marker.seconds()));
                csv.printRecord(
                        Timecode.written(start + rate.frameAt(at.samples(), SampleCount.RATE), rate),
                        SafeCell.of(marker.number() + " " + marker.name()),
                        SafeCell.of(marker.note()));
            }
        }
        csv.flush();
    }
}
