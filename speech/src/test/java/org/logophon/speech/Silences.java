package org.logophon.speech;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;

/** Silences as FFmpeg's silencedetect finds them, 45 dB under the loudest sample. */
final class Silences {

    private static final Pattern FOUND =
            Pattern.compile("silence_start: ([-\\d.]+).*?silence_end: ([\\d.]+)", Pattern.DOTALL);

    private Silences() {}

    record Silence(double from, double to) {

        double seconds() {
            return to - from;
        }
    }

    static List<Silence> of(Sound sound) {
        float loudest = 0;
        for (float sample : sound.samples()) {
            loudest = Math.max(loudest, Math.abs(sample));
        }
        try {
            Path wav = Files.createTempFile("silences", ".wav");
            try (var out = Files.newOutputStream(wav)) {
                WavWriter.write(sound.amplified(0.99 / loudest), SampleFormat.PCM_24, null, out);
            }
            Process process = new ProcessBuilder(
                            "ffmpeg",
                            "-nostdin",
                            "-hide_banner",
                            "-i",
                            wav.toString(),
                            "-af",
                            "silencedetect=n=-45dB:d=0.02",
                            "-f",
                            "null",
                            "-")
                    .redirectErrorStream(true)
                    .start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            Files.delete(wav);
            List<Silence> found = new ArrayList<>();
            Matcher matcher = FOUND.matcher(said);
            while (matcher.find()) {
                found.add(new Silence(Double.parseDouble(matcher.group(1)), Double.parseDouble(matcher.group(2))));
            }
            return found;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
