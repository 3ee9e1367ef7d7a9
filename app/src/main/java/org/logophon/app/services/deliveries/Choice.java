package org.logophon.app.services.deliveries;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import org.logophon.app.platform.failure.Refused;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.part.CaptionsPart;
import org.logophon.core.delivery.part.Parts;
import org.logophon.core.time.coding.SoundFormat;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * The options of a delivery.
 *
 * @param parts    by their names
 * @param format   of sound files: {@code wav}…
 * @param minutes  of a part of the programme
 * @param captions kinds of caption files
 * @param title    true when the title is spoken first
 * @param inClips  true when sounds and beds are heard in the clips as well
 */
public record Choice(
        List<String> parts,
        String format,
        int rate,
        int bits,
        int minutes,
        List<String> captions,
        boolean title,
        boolean inClips) {

    /** A set for a common end, or somebody's own. @param id empty for one's own */
    public record Named(String id, String label, Choice choice) {

        public boolean own() {
            return id.isEmpty();
        }
    }

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    public static final Choice USUAL =
            choice(List.of("clips", "captions", "timeline", "markers", "sheet"), "wav", false);

    public static final List<Named> SETS = List.of(
            new Named("editor", "an editor", USUAL),
            new Named("listening", "listening", choice(List.of("programme"), "mp3", true)),
            new Named("audiobook", "an audiobook", choice(List.of("audiobook"), "m4a", true)),
            new Named("character", "a character", choice(List.of("clips", "words", "mouth", "script"), "wav", false)));

    public Choice {
        parts = List.copyOf(new LinkedHashSet<>(parts));
        captions = List.copyOf(new LinkedHashSet<>(captions));
        for (String part : parts) {
            if (Parts.find(part).isEmpty()) {
                throw new Refused("A delivery has no part \"" + part + "\". Reload the page.");
            }
        }
        for (String kind : captions) {
            if (!CaptionsPart.KINDS.contains(kind)) {
                throw new Refused("There are no captions of the kind \"" + kind + "\". Reload the page.");
            }
        }
    }

    private static Choice choice(List<String> parts, String format, boolean title) {
        return new Choice(
                parts,
                format,
                SoundFormat.USUAL.rate(),
                SoundFormat.USUAL.bits(),
                DeliveryOptions.USUAL.minutes(),
                List.of("srt", "vtt"),
                title,
                false);
    }

    /** As it is kept. What was kept by an older version says nothing of what it didn't know. */
    public static Choice read(String json) {
        return JSON.readValue(json, Choice.class);
    }

    public String written() {
        return JSON.writeValueAsString(this);
    }

    SoundFormat sound() {
        return new SoundFormat(SoundFormat.kind(format), rate, bits);
    }

    DeliveryOptions wishes() {
        return new DeliveryOptions(sound(), Set.copyOf(captions), minutes, has("bed"), inClips);
    }

    /** In the order in which files are written, whatever was ticked first. */
    List<Part> chosen() {
        List<Part> chosen = new ArrayList<>();
        Parts.ALL.stream().filter(part -> parts.contains(part.id())).forEach(chosen::add);
        return chosen;
    }

    public boolean has(String part) {
        return parts.contains(part);
    }
}
