package org.logophon.speech;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;

/** Praat (Debian package praat) as the outside reference: phonetics has measured with it for thirty years. */
final class Praat {

    private static final String SCRIPT = """
            form Measure
              sentence file
              real ceiling
              real lowest
              real highest
            endform
            sound = Read from file: file$
            pitch = To Pitch (ac): 0.01, lowest, 15, "no", 0.03, 0.45, 0.01, 0.35, 0.14, highest
            median = Get quantile: 0, 0, 0.5, "Hertz"
            selectObject: sound
            formants = To Formant (burg): 0, 5, ceiling, 0.025, 50
            first = Get quantile: 1, 0, 0, "hertz", 0.5
            second = Get quantile: 2, 0, 0, "hertz", 0.5
            third = Get quantile: 3, 0, 0, "hertz", 0.5
            writeInfoLine: fixed$ (median, 3), " ", fixed$ (first, 1), " ", fixed$ (second, 1), " ", fixed$ (third, 1)
            """;

    /** Intensity above 800 Hz each 2 ms: what closed lips let through of a voice lies below it. */
    private static final String INTENSITY = """
            form Measure
              sentence file
            endform
            Read from file: file$
            Filter (pass Hann band): 800, 5000, 100
            To Intensity: 400, 0.002, "no"
            frames = Get number of frames
            first = Get time from frame number: 1
            writeInfo: fixed$ (first, 6)
            for i to frames
              value = Get value in frame: i
              appendInfo: " ", fixed$ (value, 2)
            endfor
            """;

    static final double INTENSITY_STEP = 0.002;

    /** What was measured of a sound stays so: many promises are held against the same plain line. */
    private static final Map<String, double[]> MEASURED = new ConcurrentHashMap<>();

    private Praat() {}

    static double pitch(Sound sound) {
        return pitchAndFormants(sound, 5_500)[0];
    }

    /**
     * Median pitch and the medians of the first three formants, in Hz.
     *
     * @param ceiling five formants are sought under it; it goes with the length of the vocal tract (Praat's manual,
     *     "Formant (burg)")
     */
    static double[] pitchAndFormants(Sound sound, double ceiling) {
        return known(sound, ceiling, 60, 500).clone();
    }

    /** Median pitch where it may lie anywhere between two frequencies, in Hz. */
    static double pitch(Sound sound, double lowest, double highest) {
        return known(sound, 5_500, lowest, highest)[0];
    }

    private static double[] known(Sound sound, double ceiling, double lowest, double highest) {
        String key = Arrays.hashCode(sound.samples()) + " " + sound.samples().length + " " + sound.rate() + " "
                + ceiling + " " + lowest + " " + highest;
        return MEASURED.computeIfAbsent(key, none -> measured(sound, ceiling, lowest, highest));
    }

    /** @return the time of the first frame in seconds, then dB each {@link #INTENSITY_STEP} */
    static double[] intensity(Sound sound) {
        return run(INTENSITY, sound);
    }

    private static double[] measured(Sound sound, double ceiling, double lowest, double highest) {
        return run(SCRIPT, sound, Double.toString(ceiling), Double.toString(lowest), Double.toString(highest));
    }

    private static double[] run(String commands, Sound sound, String... figures) {
        try {
            Path folder = Files.createTempDirectory("praat");
            Path wav = folder.resolve("sound.wav");
            Path script = Files.writeString(folder.resolve("measure.praat"), commands);
            try (var out = Files.newOutputStream(wav)) {
                WavWriter.write(sound, SampleFormat.PCM_24, null, out);
            }
            List<String> command = new ArrayList<>(List.of("praat", "--run", script.toString(), wav.toString()));
            command.addAll(List.of(figures));
            Process process =
                    new ProcessBuilder(command).redirectErrorStream(true).start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8).strip();
            Files.delete(wav);
            Files.delete(script);
            Files.delete(folder);
            return Arrays.stream(said.split(" "))
                    .mapToDouble(word -> word.equals("--undefined--") ? Double.NaN : Double.parseDouble(word))
                    .toArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
