package org.logophon.core.delivery.part;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.time.caption.Caption;
import org.logophon.core.time.caption.CaptionWords;
import org.logophon.core.time.caption.Captions;
import org.logophon.core.time.caption.SubRip;
import org.logophon.core.time.caption.TimedText;
import org.logophon.core.time.caption.WebVtt;
import org.logophon.core.time.caption.WordCaptions;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.voice.finish.Clip.TimedWord;

/** Captions to read along: SubRip, WebVTT, TTML, and word by word. */
public final class CaptionsPart implements Part {

    /** Kinds that may be wished for. */
    public static final List<String> KINDS = List.of("srt", "vtt", "ttml", "words");

    @Override
    public String id() {
        return "captions";
    }

    @Override
    public String label() {
        return "Captions";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        List<PartFile> files = new ArrayList<>();
        Once captions = new Once(delivered);
        for (String kind : KINDS) {
            if (wishes.captions().contains(kind)) {
                files.add(file(delivered, captions, kind));
            }
        }
        return files;
    }

    /** Captions that several files have alike, cut when the first of them is written. */
    private static final class Once {

        private final Delivered delivered;
        private List<Caption> captions;

        Once(Delivered delivered) {
            this.delivered = delivered;
        }

        synchronized List<Caption> get() {
            captions = captions == null ? CaptionsPart.captions(delivered) : captions;
            return captions;
        }
    }

    private static PartFile file(Delivered delivered, Once captions, String kind) {
        return switch (kind) {
            case "srt" -> PartFile.text("captions.srt", () -> SubRip.of(captions.get()));
            case "vtt" -> PartFile.text("captions.vtt", () -> WebVtt.of(captions.get(), delivered.language()));
            case "ttml" ->
                PartFile.text(
                        "captions.ttml", () -> TimedText.of(captions.get(), delivered.language(), delivered.title()));
            default ->
                PartFile.text("captions-words.vtt", () -> WordCaptions.vtt(groups(delivered), delivered.language()));
        };
    }

    /** Of the whole programme, in the order of its clips. */
    public static List<Caption> captions(Delivered delivered) {
        List<Caption> captions = new ArrayList<>();
        boolean several = severalRoles(delivered);
        for (int i = 0; i < delivered.programme().clips().size(); i++) {
            captions.addAll(captions(delivered, i, several));
        }
        return captions;
    }

    /** Of one clip. @param at which, in the order of the programme */
    public static List<Caption> captions(Delivered delivered, int at) {
        return captions(delivered, at, false);
    }

    private static List<Caption> captions(Delivered delivered, int at, boolean several) {
        Shown shown = Shown.of(delivered, at);
        return Captions.of(shown.text(), shown.words(), shown.place(), several ? shown.role() : "");
    }

    private static List<WordCaptions.Group> groups(Delivered delivered) {
        List<WordCaptions.Group> groups = new ArrayList<>();
        boolean several = severalRoles(delivered);
        for (int i = 0; i < delivered.programme().clips().size(); i++) {
            Shown shown = Shown.of(delivered, i);
            groups.addAll(WordCaptions.of(shown.text(), shown.words(), shown.place(), several ? shown.role() : ""));
        }
        return groups;
    }

    /** Who speaks is said where it isn't always the same. */
    private static boolean severalRoles(Delivered delivered) {
        Set<String> roles = delivered.programme().clips().stream()
                .map(clip -> clip.cue().role())
                .collect(Collectors.toSet());
        return roles.size() > 1;
    }

    /** What readers see of a clip. */
    private record Shown(String text, List<TimedWord> words, Captions.Place place, String role) {

        static Shown of(Delivered delivered, int at) {
            PlacedClip<DeliveredClip> placed = delivered.programme().clips().get(at);
            DeliveredClip clip = placed.cue();
            boolean own = !clip.caption().isEmpty() && !clip.caption().equals(clip.text());
            double frame =
                    delivered.rate().seconds() / (double) delivered.rate().frames();
            return new Shown(
                    own ? clip.caption() : clip.text(),
                    own ? CaptionWords.of(clip.text(), clip.words(), clip.caption()) : clip.words(),
                    new Captions.Place(placed.start(), delivered.programme().until(at), frame, delivered.language()),
                    clip.role());
        }
    }
}
