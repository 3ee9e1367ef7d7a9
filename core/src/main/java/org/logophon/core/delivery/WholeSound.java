package org.logophon.core.delivery;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.bed.VoiceWithBed;
import org.logophon.core.time.coding.ProgrammeSource;
import org.logophon.core.time.coding.Tags;
import org.logophon.core.time.coding.Tags.Chapter;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.core.voice.finish.PaddedSource;

/**
 * A delivery's programme as one sound with what lies under it, from where a title may be spoken before it to its end.
 *
 * @param programme as it is heard: later by the title, where there is one
 * @param source    at 48 kHz
 */
public record WholeSound(Programme<DeliveredClip> programme, SoundSource source) {

    public static WholeSound of(Delivered delivered, Sounds sounds) {
        SoundSource before = sounds.before();
        Programme<DeliveredClip> programme =
                before == null ? delivered.programme() : later(delivered.programme(), before);
        Function<DeliveredClip, SoundSource> opener = clip -> clip == null ? before : sounds.clip(clip);
        SoundSource voice = new ProgrammeSource<>(programme, opener, FinishSettings.RATE);
        SoundSource layer = sounds.layer();
        if (layer == null) {
            return new WholeSound(programme, voice);
        }
        long later = before == null ? 0 : before.length() + Sounds.BEFORE_GAP.samples();
        return new WholeSound(
                programme, VoiceWithBed.mix(voice, later == 0 ? layer : new PaddedSource(layer, later, 0)));
    }

    /** Sounds and beds alone, from the programme's start, as they are beside its voices. */
    public static SoundSource layer(Delivered delivered, Sounds sounds) {
        return VoiceWithBed.alone(
                new ProgrammeSource<>(delivered.programme(), sounds::clip, FinishSettings.RATE), sounds.layer());
    }

    /** The title is a clip of no cue. */
    private static Programme<DeliveredClip> later(Programme<DeliveredClip> programme, SoundSource before) {
        SampleCount length = new SampleCount(before.length());
        SampleCount by = length.plus(Sounds.BEFORE_GAP);
        List<PlacedClip<DeliveredClip>> clips = new ArrayList<>();
        clips.add(new PlacedClip<>(null, SampleCount.ZERO, length, Sounds.BEFORE_GAP));
        programme
                .clips()
                .forEach(clip ->
                        clips.add(new PlacedClip<>(clip.cue(), clip.start().plus(by), clip.length(), clip.gap())));
        return new Programme<>(clips);
    }

    /** One for each scene; none where there are no scenes. */
    public List<Chapter> chapters() {
        List<String> names = new ArrayList<>();
        List<Double> starts = new ArrayList<>();
        for (PlacedClip<DeliveredClip> clip : programme.clips()) {
            String scene = clip.cue() == null ? "" : clip.cue().scene();
            if (!scene.isEmpty()
                    && (names.isEmpty() || !names.get(names.size() - 1).equals(scene))) {
                names.add(scene);
                starts.add(names.size() == 1 ? 0.0 : clip.start().seconds());
            }
        }
        List<Chapter> chapters = new ArrayList<>();
        for (int i = 0; i < names.size(); i++) {
            double end = i + 1 < names.size()
                    ? starts.get(i + 1)
                    : programme.length().seconds();
            chapters.add(new Chapter(names.get(i), starts.get(i), end));
        }
        return chapters;
    }

    /** @param chapters empty where the file has none */
    public static Tags tags(Delivered delivered, String title, String track, List<Chapter> chapters) {
        return new Tags(title, delivered.title(), track, "", "", chapters);
    }
}
