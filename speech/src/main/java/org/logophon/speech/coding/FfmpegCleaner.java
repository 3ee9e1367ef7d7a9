package org.logophon.speech.coding;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.logophon.core.signal.sound.Decibels;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.voice.recording.Activity;
import org.logophon.core.voice.recording.Cleaning;
import org.logophon.core.voice.recording.Gaps;
import org.logophon.core.voice.recording.SoundCleaner;

/**
 * Cleans by FFmpeg's filters (Debian's), each process with a limit on its time. How much the noise falls is measured,
 * and asked for again by the difference.
 */
public final class FfmpegCleaner implements SoundCleaner {

    private static final int MOST_SECONDS = 120;
    private static final int RUMBLE_HZ = 70;
    /** The mains and so many overtones of it: further up they are under the voice. */
    private static final int HUMS = 3;

    /** Of what would go over full scale. */
    private static final double HEADROOM_DB = -1;

    private static final int MOST_PASSES = 4;
    private static final double CLOSE_DB = 1;

    @Override
    public Sound clean(Sound sound, Cleaning cleaning) throws IOException {
        List<String> filters = new ArrayList<>();
        if (cleaning.clipped()) {
            filters.add("adeclip");
        }
        if (cleaning.clicks()) {
            filters.add("adeclick=window=55:overlap=75");
        }
        if (cleaning.rumble()) {
            filters.add("highpass=f=" + RUMBLE_HZ);
        }
        for (int k = 1; cleaning.humHz() > 0 && k <= HUMS; k++) {
            filters.add(String.format(Locale.ROOT, "bandreject=f=%d:width_type=h:w=%d", k * cleaning.humHz(), 4 + k));
        }
        Sound made = filters.isEmpty() ? sound : fitting(filtered(sound, String.join(",", filters)));
        if (cleaning.noiseDb() > 0) {
            made = quieter(made, cleaning.noiseDb());
        }
        return cleaning.longestGap() > 0 ? Gaps.shortened(made, cleaning.longestGap()) : made;
    }

    /**
     * What is rounded again goes over full scale, and would be cut off anew where it is kept: all of it becomes
     * quieter.
     */
    private static Sound fitting(Sound made) {
        float peak = 0;
        for (float sample : made.samples()) {
            peak = Math.max(peak, Math.abs(sample));
        }
        if (peak < 1) {
            return made;
        }
        float factor = (float) (Decibels.toFactor(HEADROOM_DB) / peak);
        float[] quieter = made.samples().clone();
        for (int i = 0; i < quieter.length; i++) {
            quieter[i] *= factor;
        }
        return new Sound(quieter, made.rate());
    }

    /** By wavelets (Donoho and Johnstone, Biometrika 81, 1994), with the noise that the recording's own silence has. */
    private static Sound quieter(Sound sound, double decibels) throws IOException {
        double noise = Activity.of(sound).noiseDb();
        double sigma = Math.max(1e-5, Decibels.toFactor(noise));
        double percent = 100 * (1 - Decibels.toFactor(-decibels));
        Sound best = sound;
        // what is as quiet as a file can be is only made noisier: then it stays as it is
        double least = decibels;
        for (int pass = 0; pass < MOST_PASSES; pass++) {
            Sound made = filtered(
                    sound, String.format(Locale.ROOT, "afwtdn=sigma=%.6f:percent=%.2f", Math.min(1, sigma), percent));
            double fell = noise - Activity.of(made).noiseDb();
            double miss = decibels - fell;
            if (Math.abs(miss) < least) {
                least = Math.abs(miss);
                best = made;
            }
            if (Math.abs(miss) <= CLOSE_DB) {
                break;
            }
            double left = Math.max(1e-4, (1 - percent / 100) * Decibels.toFactor(-miss));
            percent = Math.max(0, Math.min(100, 100 * (1 - left)));
            if (percent > 99 && miss > CLOSE_DB) {
                sigma *= 1.25;
            }
        }
        return best;
    }

    private static Sound filtered(Sound sound, String filters) throws IOException {
        List<String> command = new ArrayList<>(List.of("ffmpeg", "-nostdin", "-hide_banner", "-v", "error"));
        command.addAll(List.of("-f", "f32le", "-ar", Integer.toString(sound.rate()), "-ac", "1", "-i", "pipe:0"));
        command.addAll(List.of("-af", filters, "-f", "f32le", "-ac", "1", "-ar", Integer.toString(sound.rate())));
        command.add("pipe:1");
        Process process;
        try {
            process = new ProcessBuilder(command).start();
        } catch (IOException missing) {
            throw new CodingFailed(
                    "FFmpeg isn't installed, which cleans recordings. Install Debian's package ffmpeg.", missing);
        }
        try {
            return new Sound(fitted(through(process, sound), sound.samples().length), sound.rate());
        } finally {
            process.destroyForcibly();
        }
    }

    /** A filter may keep its last samples back: the sound stays as long as it was. */
    private static float[] fitted(byte[] bytes, int length) {
        float[] samples = new float[length];
        ByteBuffer.wrap(bytes)
                .order(ByteOrder.LITTLE_ENDIAN)
                .asFloatBuffer()
                .get(samples, 0, Math.min(length, bytes.length / 4));
        return samples;
    }

    private static byte[] through(Process process, Sound sound) throws IOException {
        Thread sending = new Thread(() -> {
            try (OutputStream in = process.getOutputStream()) {
                in.write(SampleFormat.FLOAT_32.encode(sound.samples(), sound.samples().length, 0));
            } catch (IOException ended) {
                // it reads no further: its exit says why
                process.destroy();
            }
        });
        sending.setDaemon(true);
        sending.start();
        ByteArrayOutputStream made = new ByteArrayOutputStream(4 * sound.samples().length);
        CompletableFuture<Long> reading = CompletableFuture.supplyAsync(() -> {
            try (InputStream out = process.getInputStream()) {
                return out.transferTo(made);
            } catch (IOException gone) {
                return -1L;
            }
        });
        try {
            reading.get(MOST_SECONDS, TimeUnit.SECONDS);
            if (!process.waitFor(10, TimeUnit.SECONDS) || process.exitValue() != 0) {
                throw new CodingFailed("FFmpeg couldn't clean this recording. The recording itself is as it was.");
            }
        } catch (TimeoutException late) {
            throw new CodingFailed("Cleaning took longer than two minutes and was stopped. Clean it in pieces.", late);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new CodingFailed("The cleaning was stopped.", stopped);
        } catch (ExecutionException failed) {
            throw new CodingFailed("FFmpeg couldn't clean this recording.", failed);
        }
        return made.toByteArray();
    }
}
