package org.logophon.cli.narrate;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.finish.Clip;
import org.logophon.core.programme.SampleCount;
import org.logophon.core.ssml.SsmlCue.NamedPlace;
import org.logophon.core.voice.Voice;
import org.logophon.speech.hired.Charges;

/** What was made and what went wrong, for the report. */
final class Outcome implements Charges {

    private final List<Map<String, Object>> clips = new ArrayList<>();
    private final List<String> warnings = new ArrayList<>();
    private final Map<String, Charge> charges = new ConcurrentHashMap<>();
    private int failed;

    private record Charge(int characters, BigDecimal price, String currency) {}

    @Override
    public void asked(String key, Voice voice, int characters, String agreement) {
        // what is asked for and never answered is told as a failed cue
    }

    @Override
    public void charged(String key, Voice voice, int characters) {
        charges.put(
                key,
                new Charge(
                        characters,
                        voice.terms().pricePerCharacter().multiply(BigDecimal.valueOf(characters)),
                        voice.terms().currency()));
    }

    private Map<String, Object> charged() {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put(
                "characters",
                charges.values().stream().mapToInt(Charge::characters).sum());
        fields.put("price", charges.values().stream().map(Charge::price).reduce(BigDecimal.ZERO, BigDecimal::add));
        fields.put(
                "currency",
                charges.values().stream().map(Charge::currency).findFirst().orElse(""));
        return fields;
    }

    /** @param places that the script has named, each told with the time of the word after it */
    void clip(DeliveredClip clip, SampleCount length, String voiceId, List<NamedPlace> places) {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("number", clip.number());
        fields.put("file", clip.file());
        fields.put("scene", clip.scene());
        fields.put("role", clip.role());
        fields.put("voice", voiceId);
        fields.put("text", clip.text());
        fields.put("durationSeconds", rounded(length.seconds(), 1e6));
        fields.put("loudnessLufs", rounded(clip.loudness().lufs(), 100));
        fields.put("truePeakDbtp", rounded(clip.truePeakDbtp(), 100));
        fields.put("words", clip.words().stream().map(w -> word(clip.text(), w)).toList());
        if (!places.isEmpty()) {
            fields.put(
                    "marks",
                    places.stream()
                            .map(place -> mark(place, clip, length.seconds()))
                            .toList());
        }
        clips.add(fields);
    }

    private static Map<String, Object> mark(NamedPlace place, DeliveredClip clip, double end) {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("name", place.name());
        fields.put(
                "seconds",
                rounded(
                        clip.words().stream()
                                .filter(word -> word.start() >= place.at())
                                .findFirst()
                                .map(Clip.TimedWord::startSeconds)
                                .orElse(end),
                        1e4));
        return fields;
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
        if (!charges.isEmpty()) {
            fields.put("charged", charged());
        }
        return fields;
    }

    private static Double rounded(double value, double per) {
        return Double.isFinite(value) ? Math.round(value * per) / per : null;
    }
}
