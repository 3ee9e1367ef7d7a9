package org.logophon.cli.clearness;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;
import org.logophon.core.voice.figures.ClearnessPassage;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import org.logophon.speech.heard.Recogniser;

/**
 * Speech that is directed stays as clear as two other tools leave it that change the same sound: Praat's overlap-add
 * and SoX's tempo. A recogniser that was made for people says how clear it is.
 */
class DirectedClearnessTest {

    private static final WorkerPool POOL = new WorkerPool(2);
    private static final Narrator NARRATOR = new Narrator(new Engines(POOL), new WorkerResampler(POOL));
    /** Half of the passage, to the end of a sentence: a recogniser takes as long as it lasts. */
    private static final String TEXT = ClearnessPassage.TEXT.substring(
            0, ClearnessPassage.TEXT.indexOf(". ", ClearnessPassage.TEXT.length() / 2) + 1);
    /** Two words more or less are chance. */
    private static final double CHANCE_PERCENT = 200.0 / Words.count(TEXT);

    @TempDir
    private Path folder;

    @AfterAll
    static void stop() {
        POOL.close();
    }

    private static Sound said(Voice voice, Integer pace) {
        return NARRATOR.render(Recipe.of(
                        TEXT,
                        voice,
                        NARRATOR.engineVersion(voice),
                        ResolvedDirection.of(new Direction(pace, null, null, null))))
                .sound();
    }

    private static void write(Sound sound, Path wav) throws IOException {
        try (OutputStream out = Files.newOutputStream(wav)) {
            WavWriter.write(new WorkerResampler(POOL).resample(sound, Recogniser.RATE), SampleFormat.PCM_16, null, out);
        }
    }

    private static void run(String... command) throws IOException, InterruptedException {
        assertThat(new ProcessBuilder(command).inheritIO().start().waitFor())
                .as(String.join(" ", command))
                .isZero();
    }

    private static double missed(Path wav) {
        try {
            return Clearness.of(TEXT, Recogniser.hear(wav)).missedPercent();
        } catch (IOException | InterruptedException failed) {
            throw new IllegalStateException(failed);
        }
    }

    @ParameterizedTest
    @CsvSource({"marnie, 150"})
    void paceCostsNoMoreWordsThanWithOtherTools(String id, int pace) throws IOException, InterruptedException {
        Voice voice = NativeVoices.catalogue().find(id).orElseThrow();
        Path plain = folder.resolve("plain.wav");
        Path praat = folder.resolve("praat.wav");
        Path sox = folder.resolve("sox.wav");
        Path ours = folder.resolve("ours.wav");
        write(said(voice, null), plain);
        write(said(voice, pace), ours);
        Path script = Files.writeString(
                folder.resolve("shorten.praat"),
                String.join(
                        "\n",
                        List.of(
                                "Read from file: \"" + plain + "\"",
                                "Lengthen (overlap-add): 75, 600, " + 100.0 / pace,
                                "Save as WAV file: \"" + praat + "\"")));
        run("praat", "--run", script.toString());
        run("sox", plain.toString(), sox.toString(), "tempo", "-s", Double.toString(pace / 100.0));
        // a recogniser hears on one core
        List<Double> missed = Stream.of(praat, sox, ours)
                .parallel()
                .map(DirectedClearnessTest::missed)
                .toList();
        double byPraat = missed.get(0);
        double bySox = missed.get(1);
        assertThat(missed.get(2))
                .as("missed in per cent, of %s at pace %d; by Praat %.1f, by SoX %.1f", id, pace, byPraat, bySox)
                .isLessThanOrEqualTo(Math.min(byPraat, bySox) + CHANCE_PERCENT);
    }
}
