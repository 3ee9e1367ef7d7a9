package org.logophon.app.services.rendering;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.core.signal.sound.ConvertedSource;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavFile;
import org.logophon.core.time.bed.GapSound;
import org.logophon.core.time.bed.HeardSound;
import org.logophon.core.time.bed.Layer;
import org.logophon.core.time.bed.VoiceSpans;
import org.logophon.core.time.bed.VoiceWithBed;
import org.logophon.core.time.coding.ProgrammeSource;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.FinishSettings;
import org.springframework.stereotype.Component;

/** Sounds and beds of a programme as pages play them: beside the voices that they are heard with. */
@Component
public class ProjectLayer {

    /** Layers that know their levels and where the voices are: little each, but for the longest programmes. */
    private static final int MOST_KEPT = 8;

    private static final SoundSource SILENCE = SoundSource.of(new Sound(new float[0], SampleCount.RATE));
    /** Of a sound that is heard by itself, against the loudness that voices have. Ours. */
    private static final double SHOWN_DB = -3;

    private final Layers layers;
    private final TakeSound takes;
    private final Resampler resampler;
    private final Cache<String, Layer> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    ProjectLayer(Layers layers, TakeSound takes, Resampler resampler) {
        this.layers = layers;
        this.takes = takes;
        this.resampler = resampler;
    }

    /**
     * Who speaks beside it: takes in their places.
     *
     * @param length   of the whole programme
     * @param lufs     that they are brought to; null for as they were made
     * @param take     of a cue
     * @param offsetDb of a cue
     * @param clip     of a cue, finished, at any rate
     */
    public record Voices<C>(
            Programme<C> programme,
            SampleCount length,
            Double lufs,
            Function<C, UUID> take,
            ToDoubleFunction<C> offsetDb,
            Function<C, SoundSource> clip) {

        /** Another one whenever the layer may sound otherwise: what lies there, and where somebody speaks. */
        public String stamp(LaidOut laid) {
            StringBuilder voices = new StringBuilder().append(lufs).append('\n');
            for (PlacedClip<C> clip : programme.clips()) {
                voices.append(clip.start().samples())
                        .append(' ')
                        .append(take.apply(clip.cue()))
                        .append(' ')
                        .append(offsetDb.applyAsDouble(clip.cue()))
                        .append('\n');
            }
            return laid.stamp(voices.toString());
        }
    }

    /** The voices of a project as it is heard now. */
    public Voices<CueView> voices(ProjectView view) {
        Programme<CueView> heard = view.heard();
        return new Voices<>(
                new Programme<>(heard.clips().stream()
                        .filter(clip -> clip.cue().keptTake() != null)
                        .toList()),
                heard.length(),
                view.project().targetLufs(),
                CueView::keptTake,
                cue -> cue.direction().loudnessDb(),
                cue -> takes.of(cue.status().sound(), view.project(), cue).sound());
    }

    public <C> WavFile wav(LaidOut laid, Voices<C> voices) {
        Layer layer = kept.get(
                voices.stamp(laid),
                stamp -> layers.layer(laid, voices.programme().with(voices.take()), voices.length()));
        SoundSource voice = new ProgrammeSource<>(
                voices.programme(),
                cue -> ConvertedSource.of(voices.clip().apply(cue), SampleCount.RATE, resampler),
                SampleCount.RATE);
        return wav(VoiceWithBed.alone(voice, layer));
    }

    /** A sound by itself, at the level that it has against others. */
    public static SoundSource shown(HeardSound sound) {
        SampleCount length = new SampleCount(sound.source().length());
        Layer layer = Layer.of(
                length,
                VoiceSpans.of(new Programme<Object>(List.of()), none -> List.of()),
                FinishSettings.DEFAULT_TARGET_LUFS,
                List.of(),
                List.of(new GapSound(sound, SampleCount.ZERO, length, SHOWN_DB)));
        return VoiceWithBed.alone(SILENCE, layer);
    }

    public static WavFile wav(SoundSource sound) {
        return new WavFile(sound, SampleFormat.PCM_16, null);
    }
}
