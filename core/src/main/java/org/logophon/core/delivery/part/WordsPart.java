package org.logophon.core.delivery.part;

import java.util.List;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.voice.finish.Clip.TimedWord;
import tools.jackson.core.JsonGenerator;

/** Each word with its time, in its clip and in the programme, as JSON. */
public final class WordsPart implements Part {

    private static final int VERSION = 1;

    @Override
    public String id() {
        return "words";
    }

    @Override
    public String label() {
        return "Words with their times";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        return List.of(PartFile.streamed("words.json", out -> CueJson.write(delivered, VERSION, out, WordsPart::json)));
    }

    private static void json(PlacedClip<DeliveredClip> placed, JsonGenerator json) {
        DeliveredClip clip = placed.cue();
        json.writeStringProperty("number", clip.number());
        json.writeStringProperty("file", clip.file());
        json.writeStringProperty("role", clip.role());
        json.writeNumberProperty("startSeconds", CueJson.rounded(placed.start().seconds()));
        json.writeArrayPropertyStart("words");
        for (TimedWord word : clip.words()) {
            json.writeStartObject();
            json.writeStringProperty("text", clip.text().substring(word.start(), word.end()));
            json.writeNumberProperty("startSeconds", CueJson.rounded(word.startSeconds()));
            json.writeNumberProperty("endSeconds", CueJson.rounded(word.endSeconds()));
            json.writeEndObject();
        }
        json.writeEndArray();
    }
}
