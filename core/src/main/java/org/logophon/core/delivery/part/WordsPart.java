package org.logophon.core.delivery.part;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.delivery.Wishes;
import org.logophon.core.finish.Clip.TimedWord;
import org.logophon.core.programme.Programme.PlacedClip;
import tools.jackson.databind.json.JsonMapper;

/** Each word with its time, in its clip and in the programme, as JSON. */
public final class WordsPart implements Part {

    private static final int VERSION = 1;
    private static final JsonMapper JSON = JsonMapper.builder().build();

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
        return List.of(PartFile.text("words.json", () -> json(delivered)));
    }

    private static String json(Delivered delivered) {
        List<Map<String, Object>> cues = new ArrayList<>();
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            DeliveredClip clip = placed.cue();
            List<Map<String, Object>> words = new ArrayList<>();
            for (TimedWord word : clip.words()) {
                Map<String, Object> one = new LinkedHashMap<>();
                one.put("text", clip.text().substring(word.start(), word.end()));
                one.put("startSeconds", rounded(word.startSeconds()));
                one.put("endSeconds", rounded(word.endSeconds()));
                words.add(one);
            }
            Map<String, Object> cue = new LinkedHashMap<>();
            cue.put("number", clip.number());
            cue.put("file", clip.file());
            cue.put("role", clip.role());
            cue.put("startSeconds", rounded(placed.start().seconds()));
            cue.put("words", words);
            cues.add(cue);
        }
        Map<String, Object> all = new LinkedHashMap<>();
        all.put("version", VERSION);
        all.put("cues", cues);
        return JSON.writeValueAsString(all);
    }

    private static double rounded(double seconds) {
        return Math.round(seconds * 10_000) / 10_000.0;
    }
}
