package org.logophon.core.delivery.part;

import java.io.IOException;
import java.io.Writer;
import java.util.List;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.delivery.Wishes;
import org.logophon.core.finish.Clip.TimedWord;
import org.logophon.core.programme.Programme.PlacedClip;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.StreamWriteFeature;
import tools.jackson.databind.json.JsonMapper;

/** Each word with its time, in its clip and in the programme, as JSON. */
public final class WordsPart implements Part {

    private static final int VERSION = 1;
    private static final JsonMapper JSON =
            JsonMapper.builder().disable(StreamWriteFeature.AUTO_CLOSE_TARGET).build();

    @Override
    public String id() {
        return "words";
    }

    @Override
    public String label() {
        return "Words with their times";
    }

    @Override
    public List<PartFile> files(Delivered delivered, Wishes wishes, Sounds sounds) {
        return List.of(PartFile.streamed("words.json", out -> json(delivered, out)));
    }

    private static void json(Delivered delivered, Writer out) throws IOException {
        try (JsonGenerator json = JSON.createGenerator(out)) {
            json.writeStartObject();
            json.writeNumberProperty("version", VERSION);
            json.writeArrayPropertyStart("cues");
            for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
                DeliveredClip clip = placed.cue();
                json.writeStartObject();
                json.writeStringProperty("number", clip.number());
                json.writeStringProperty("file", clip.file());
                json.writeStringProperty("role", clip.role());
                json.writeNumberProperty("startSeconds", rounded(placed.start().seconds()));
                json.writeArrayPropertyStart("words");
                for (TimedWord word : clip.words()) {
                    json.writeStartObject();
                    json.writeStringProperty("text", clip.text().substring(word.start(), word.end()));
                    json.writeNumberProperty("startSeconds", rounded(word.startSeconds()));
                    json.writeNumberProperty("endSeconds", rounded(word.endSeconds()));
                    json.writeEndObject();
                }
                json.writeEndArray();
                json.writeEndObject();
            }
            json.writeEndArray();
            json.writeEndObject();
        }
    }

    private static double rounded(double seconds) {
        return Math.round(seconds * 10_000) / 10_000.0;
    }
}
