package org.logophon.core.delivery.part;

import java.io.IOException;
import java.io.Writer;
import java.util.List;
import java.util.Locale;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.input.table.SafeCell;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.viseme.MouthShape;
import org.logophon.core.time.viseme.MouthShapes;
import tools.jackson.core.JsonGenerator;

/** Shapes of the mouth for each cue: as JSON and as a table, and a table with one for each frame of the programme. */
public final class MouthPart implements Part {

    private static final int VERSION = 1;

    @Override
    public String id() {
        return "mouth";
    }

    @Override
    public String label() {
        return "Mouth shapes for a character";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        return List.of(
                PartFile.streamed("mouth.json", out -> CueJson.write(delivered, VERSION, out, MouthPart::json)),
                PartFile.streamed("mouth.csv", out -> csv(delivered, out)),
                PartFile.streamed("mouth-frames.csv", out -> frames(delivered, out)));
    }

    private static MouthShapes shapes(PlacedClip<DeliveredClip> placed) {
        DeliveredClip clip = placed.cue();
        return MouthShapes.of(
                clip.text(), clip.words(), clip.phones(), placed.length().seconds());
    }

    private static void json(PlacedClip<DeliveredClip> placed, JsonGenerator json) {
        MouthShapes shapes = shapes(placed);
        json.writeStringProperty("number", placed.cue().number());
        json.writeStringProperty("from", from(shapes));
        json.writeArrayPropertyStart("shapes");
        for (MouthShape shape : shapes.shapes()) {
            json.writeStartObject();
            json.writeNumberProperty("start", CueJson.rounded(shape.start()));
            json.writeNumberProperty("end", CueJson.rounded(shape.end()));
            json.writeNumberProperty("viseme", shape.viseme());
            json.writeStringProperty("phoneme", shape.phoneme());
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    private static String from(MouthShapes shapes) {
        return shapes.source().name().toLowerCase(Locale.ROOT);
    }

    private static void csv(Delivered delivered, Writer rows) throws IOException {
        rows.write("number,start,end,viseme,phoneme,from\r\n");
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            MouthShapes shapes = shapes(placed);
            for (MouthShape shape : shapes.shapes()) {
                rows.append(String.format(
                        Locale.ROOT,
                        "%s,%.4f,%.4f,%d,%s,%s\r\n",
                        SafeCell.of(placed.cue().number()),
                        shape.start(),
                        shape.end(),
                        shape.viseme(),
                        SafeCell.of(shape.phoneme()),
                        from(shapes)));
            }
        }
    }

    /** The shape in the middle of each frame that a clip is heard in. */
    private static void frames(Delivered delivered, Writer rows) throws IOException {
        rows.write("timecode,number,viseme\r\n");
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            List<MouthShape> shapes = shapes(placed).shapes();
            int at = 0;
            long last = delivered.frameFrom(placed.end());
            for (long frame = delivered.frame(placed.start()); frame < last; frame++) {
                double middle = (delivered.rate().firstSample(frame, SampleCount.RATE)
                                        + delivered.rate().firstSample(frame + 1, SampleCount.RATE))
                                / 2.0
                                / SampleCount.RATE
                        - placed.start().seconds();
                while (at + 1 < shapes.size() && shapes.get(at).end() <= middle) {
                    at++;
                }
                rows.append(delivered.timecode(frame))
                        .append(',')
                        .append(SafeCell.of(placed.cue().number()))
                        .append(',')
                        .append(Integer.toString(shapes.get(at).viseme()))
                        .append("\r\n");
            }
        }
    }
}
