package org.logophon.core.delivery.part;

import java.util.List;
import org.logophon.core.delivery.ClipNote;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.DeliveryOptions;
import org.logophon.core.delivery.Part;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.SoundFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.wav.BroadcastExtension;
import org.logophon.core.time.bed.VoiceWithBed;
import org.logophon.core.time.coding.LossyFile;
import org.logophon.core.time.coding.LossyFile.Heard;
import org.logophon.core.time.coding.Stretch;
import org.logophon.core.time.coding.Tags;
import org.logophon.core.time.programme.Programme.PlacedClip;

/** A numbered clip for each cue. */
public final class ClipsPart implements Part {

    @Override
    public String id() {
        return "clips";
    }

    @Override
    public String label() {
        return "Clips";
    }

    @Override
    public List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds) {
        return delivered.programme().clips().stream()
                .map(placed -> file(delivered, placed, wishes, sounds))
                .toList();
    }

    private static PartFile file(
            Delivered delivered, PlacedClip<DeliveredClip> placed, DeliveryOptions wishes, Sounds sounds) {
        return new PartFile(
                placed.cue().file(),
                placed.cue().number(),
                out -> sound(delivered, placed, wishes, sounds).content().write(out));
    }

    private static PartFile sound(
            Delivered delivered, PlacedClip<DeliveredClip> placed, DeliveryOptions wishes, Sounds sounds) {
        DeliveredClip clip = placed.cue();
        boolean under = wishes.inClips() && sounds.layer() != null;
        SoundSource sound = under ? underlaid(placed, sounds) : sounds.clip(clip);
        Heard heard = under ? LossyFile.heard(sound) : new Heard(clip.loudness(), clip.truePeakDbtp());
        BroadcastExtension extension = new BroadcastExtension(
                clip.text(),
                clip.number(),
                sounds.made(clip),
                placed.start().samples(),
                heard.loudness().lufs(),
                heard.truePeakDbtp());
        Tags tags = new Tags(
                clip.number() + " " + beginning(clip.text()),
                delivered.title(),
                clip.number().replaceAll("\\D", ""),
                ClipNote.of(clip, delivered.language()).map(ClipNote::xml).orElse(""),
                sounds.made(clip).toLocalDate().toString(),
                List.of());
        return SoundFile.of(clip.file(), () -> sound, wishes.format(), tags, extension, sounds);
    }

    /** With what lies under it while it lasts. */
    private static SoundSource underlaid(PlacedClip<DeliveredClip> placed, Sounds sounds) {
        SoundSource voice = sounds.clip(placed.cue());
        long from = placed.start().samples();
        return VoiceWithBed.mix(voice, new Stretch(sounds.layer(), from, from + voice.length()));
    }

    private static String beginning(String text) {
        return text.length() <= 60 ? text : text.substring(0, text.offsetByCodePoints(0, 40)) + "…";
    }
}
