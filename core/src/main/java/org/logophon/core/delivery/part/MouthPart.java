package org.logophon.core.delivery.part;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.delivery.Wishes;
import org.logophon.core.mouth.MouthShape;
import org.logophon.core.mouth.MouthShapes;
import org.logophon.core.programme.Programme.PlacedClip;
import org.logophon.core.programme.SampleCount;
import org.logophon.core.table.SafeCell;
import tools.jackson.databind.json.JsonMapper;

/** Shapes of the mouth for each cue: as JSON and as a table, and a table with one for each frame of the programme. */
public final class MouthPart implements Part {

    private static final int VERSION = 1;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Override
    public String id() {
        return "mouth";
    }

    @Override
    public String label() {
        return "Mouth shapes for a character";
    }

    @Override
    public List<PartFile> files(Delivered delivered, Wishes wishes, Sounds sounds) {
        return List.of(
                PartFile.text("mouth.json", () -> json(delivered)),
                PartFile.text("mouth.csv", () -> csv(delivered)),
                PartFile.text("mouth-frames.csv", () -> frames(delivered)));
    }

    private static MouthShapes shapes(PlacedClip<DeliveredClip> placed) {
        DeliveredClip clip = placed.cue();
        return MouthShapes.of(
                clip.text(), clip.words(), clip.phones(), placed.length().seconds());
    }

    private static String json(Delivered delivered) {
        List<Map<String, Object>> cues = new ArrayList<>();
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            MouthShapes shapes = shapes(placed);
            List<Map<String, Object>> each = new ArrayList<>();
            for (MouthShape shape : shapes.shapes()) {
                Map<String, Object> one = new LinkedHashMap<>();
                one.put("start", rounded(shape.start()));
                one.put("end", rounded(shape.end()));
                one.put("viseme", shape.viseme());
                one.put("phoneme", shape.phoneme());
                each.add(one);
            }
            Map<String, Object> cue = new LinkedHashMap<>();
            cue.put("number", placed.cue().number());
            cue.put("from", shapes.source().name().toLowerCase(Locale.ROOT));
            cue.put("shapes", each);
            cues.add(cue);
        }
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("version", VERSION);
        all.put("cues", cues);
        return JSON.writeValueAsString(all);
    }

    private static String csv(Delivered delivered) {
        StringBuilder rows = new StringBuilder("number,start,end,viseme,phoneme,from\r\n");
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
                        shapes.source().name().toLowerCase(Locale.ROOT)));
            }
        }
        return rows.toString();
    }

    /** The shape in the middle of each frame that a clip is heard in. */
    private static String frames(Delivered delivered) {
        StringBuilder rows = new StringBuilder("timecode,number,viseme\r\n");
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
                        .append(shapes.get(at).viseme())
                        .append("\r\n");
            }
        }
        return rows.toString();
    }

    private static double rounded(double seconds) {
        return Math.round(seconds * 10_000) / 10_000.0;
    }
}
