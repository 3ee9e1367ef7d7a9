package org.logophon.app.rendering;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import org.logophon.app.project.CueView;
import org.logophon.app.project.Project;
import org.logophon.finish.Clip;
import org.logophon.finish.FinishSettings;
import org.logophon.finish.Finishing;
import org.logophon.wav.SampleFormat;
import org.logophon.wav.WavWriter;
import org.springframework.stereotype.Component;

/** A take as it will be heard in the delivery: finished to the project's loudness, at the engine's own rate. */
@Component
public class TakeSound {

    private final Finishing finishing;

    TakeSound(Finishing finishing) {
        this.finishing = finishing;
    }

    public Clip clip(StoredSpeech speech, FinishSettings settings, double offsetDb) {
        return finishing.finish(speech.speech(), settings.atRate(speech.rate()), offsetDb);
    }

    /** 16-bit WAV. */
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
        return recipe.substring(0, 16) + String.format(Locale.ROOT, "_%s_%.1f", project.targetLufs() == null ? "off" : project.targetLufs(),
                cue.effective().loudnessDb());
    }
}
