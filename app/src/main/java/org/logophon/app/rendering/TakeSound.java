package org.logophon.app.rendering;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.logophon.app.project.CueView;
import org.logophon.app.project.Project;
import org.logophon.core.finish.Clip;
import org.logophon.core.finish.ClipFinisher;
import org.logophon.core.loudness.Loudness;
import org.logophon.core.wav.SampleFormat;
import org.logophon.core.wav.WavWriter;
import org.springframework.stereotype.Component;

/**
 * A take as it will be heard in the delivery: finished to the project's loudness, at the engine's own rate. The page
 * that
 * shows a take and the player that plays it ask for the same one, so the last few are kept.
 */
@Component
public class TakeSound {

    private static final int MOST_KEPT = 24;

    private final ClipFinisher finishing;
    private final Map<String, FinishedTake> kept = new LinkedHashMap<>(MOST_KEPT, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, FinishedTake> eldest) {
            return size() > MOST_KEPT;
        }
    };

    TakeSound(ClipFinisher finishing) {
        this.finishing = finishing;
    }

    /** @param wav 16-bit WAV */
    public record FinishedTake(byte[] wav, Loudness loudness, double truePeakDbtp) {}

    public FinishedTake of(StoredSpeech speech, String recipe, Project project, CueView cue) {
        String stamp = stamp(recipe, project, cue);
        synchronized (kept) {
            FinishedTake heard = kept.get(stamp);
            if (heard != null) {
                return heard;
            }
        }
        Clip clip = finishing.finish(
                speech.speech(),
                project.finish().atRate(speech.rate()),
                cue.direction().loudnessDb());
        FinishedTake heard = new FinishedTake(wav(clip), clip.loudness(), clip.truePeakDbtp());
        synchronized (kept) {
            kept.put(stamp, heard);
        }
        return heard;
    }

    public byte[] wav(Clip clip) {
        ByteArrayOutputStream out = new ByteArrayOutputStream(clip.sound().samples().length * 2 + 64);
        try {
            WavWriter.write(clip.sound(), SampleFormat.PCM_16, null, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** Changes whenever the sound would: for addresses and caches. */
    public static String stamp(String recipe, Project project, CueView cue) {
        return recipe.substring(0, 16)
                + String.format(
                        Locale.ROOT,
                        "_%s_%.1f",
                        project.targetLufs() == null ? "off" : project.targetLufs(),
                        cue.direction().loudnessDb());
    }
}
