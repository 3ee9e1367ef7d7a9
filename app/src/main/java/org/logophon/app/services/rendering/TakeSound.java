package org.logophon.app.services.rendering;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Locale;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavFile;
import org.logophon.core.voice.finish.Clip;
import org.logophon.core.voice.finish.ClipFinisher;
import org.logophon.core.voice.finish.FinishSettings;
import org.springframework.stereotype.Component;

/**
 * A take as it will be heard in the delivery: finished to the project's loudness, at the engine's own rate. Its level
 * is measured once; its samples are made as they are played, and never held.
 */
@Component
public class TakeSound {

    /** Clips that know their level: some hundred bytes each. */
    private static final int MOST_KEPT = 2_000;

    private final ClipFinisher finisher;
    private final AudioStore audio;
    private final Cache<String, Clip> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    TakeSound(ClipFinisher finisher, AudioStore audio) {
        this.finisher = finisher;
        this.audio = audio;
    }

    /** A take of a cue. */
    public Clip of(StoredSound sound, Project project, CueView cue) {
        return clip(sound, project.targetLufs(), cue.direction().loudnessDb());
    }

    /** A line that is no take: at one loudness for all voices, so that the louder one doesn't win. */
    Clip line(StoredSound sound, Double targetLufs) {
        return clip(sound, targetLufs == null ? FinishSettings.DEFAULT_TARGET_LUFS : targetLufs, 0);
    }

    /** @param targetLufs null for as it was made @param offsetDb of its cue against it */
    public Clip clip(StoredSound sound, Double targetLufs, double offsetDb) {
        return kept.get(
                stamp(sound, targetLufs, offsetDb),
                stamp -> finisher.finish(
                        audio.source(sound),
                        List.of(),
                        FinishSettings.to(targetLufs).atRate(sound.rate()),
                        offsetDb));
    }

    /** As a page plays it: 16-bit WAV. */
    public static WavFile wav(Clip clip) {
        return new WavFile(clip.sound(), SampleFormat.PCM_16, null);
    }

    /** Changes whenever the sound would: for addresses and caches. */
    public static String stamp(StoredSound sound, Project project, CueView cue) {
        return stamp(sound, project.targetLufs(), cue.direction().loudnessDb());
    }

    /** A take beside the others of its cue: as loud as they are, also where clips are left as they were made. */
    Clip even(StoredSound sound, Project project, CueView cue) {
        return clip(sound, even(project), cue.direction().loudnessDb());
    }

    /** Changes whenever the sound of {@link #even} would. */
    public static String evenStamp(StoredSound sound, Project project, CueView cue) {
        return stamp(sound, even(project), cue.direction().loudnessDb());
    }

    private static Double even(Project project) {
        return project.targetLufs() == null ? Double.valueOf(FinishSettings.DEFAULT_TARGET_LUFS) : project.targetLufs();
    }

    /** Changes whenever the sound of {@link #clip} would. */
    public static String stamp(StoredSound sound, Double targetLufs, double offsetDb) {
        return sound.id().toString().substring(0, 18)
                + String.format(Locale.ROOT, "_%s_%.2f", targetLufs == null ? "off" : targetLufs, offsetDb);
    }
}
