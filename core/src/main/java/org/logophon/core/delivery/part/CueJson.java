package org.logophon.core.delivery.part;

import java.io.Writer;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.time.programme.Programme.PlacedClip;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.json.JsonMapper;

/** {@code {"version":…,"cues":[…]}}, written a cue at a time: that of some hours is never held whole. */
final class CueJson {

    private static final JsonMapper JSON =
            JsonMapper.builder().disable(StreamWriteFeature.AUTO_CLOSE_TARGET).build();

    private CueJson() {}

    /** Writes the fields of a cue. */
    @FunctionalInterface
    interface Fields {
        void write(PlacedClip<DeliveredClip> placed, JsonGenerator json);
    }

    static void write(Delivered delivered, int version, Writer out, Fields fields) {
        try (JsonGenerator json = JSON.createGenerator(out)) {
            json.writeStartObject();
            json.writeNumberProperty("version", version);
            json.writeArrayPropertyStart("cues");
            for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
                json.writeStartObject();
                fields.write(placed, json);
                json.writeEndObject();
            }
            json.writeEndArray();
            json.writeEndObject();
        }
    }

    /** To a tenth of a millisecond. */
    static double rounded(double seconds) {
        return Math.round(seconds * 10_000) / 10_000.0;
    }
}
