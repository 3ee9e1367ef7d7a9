package org.logophon.cli.narrate;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.logophon.delivery.CueSheet;
import org.logophon.finish.Clip;

/** What was made and what went wrong, for the report. */
final class Outcome {

    private final List<Map<String, Object>> clips = new ArrayList<>();
    private final List<String> warnings = new ArrayList<>();
    private int failed;

    void clip(CueSheet.Row row, String voiceId, Clip clip) {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("number", row.number());
        fields.put("file", row.file());
        fields.put("scene", row.scene());
        fields.put("role", row.role());
        fields.put("voice", voiceId);
        fields.put("text", row.text());
        fields.put("durationSeconds", rounded(row.durationSeconds(), 1e6));
        fields.put("loudnessLufs", rounded(row.loudnessLufs(), 100));
        fields.put("truePeakDbtp", rounded(row.truePeakDbtp(), 100));
        fields.put("words", clip.words().stream().map(w -> word(row.text(), w)).toList());
        clips.add(fields);
    }

    private static Map<String, Object> word(String text, Clip.TimedWord word) {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("text", text.substring(word.start(), word.end()));
        fields.put("startSeconds", rounded(word.startSeconds(), 1e4));
        fields.put("endSeconds", rounded(word.endSeconds(), 1e4));
        return fields;
    }

    void warning(String sentence) {
        warnings.add(sentence);
    }

    void failure(String sentence) {
        warnings.add(sentence);
        failed++;
    }

    int failed() {
        return failed;
    }

    Map<String, Object> fields() {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("clips", clips);
        fields.put("warnings", warnings);
        return fields;
    }

    private static Double rounded(double value, double per) {
        return Double.isFinite(value) ? Math.round(value * per) / per : null;
    }
}
