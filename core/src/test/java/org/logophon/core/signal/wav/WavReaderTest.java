package org.logophon.core.signal.wav;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.Tones;

/** Files as SoX writes them, and files that nobody should write. */
class WavReaderTest {

    private static final Sound TONE = Tones.sine(440, -6, 0.25, 16_000);

    private static byte[] written(Sound sound) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        WavWriter.write(sound, SampleFormat.PCM_24, null, out);
        return out.toByteArray();
    }

    @ParameterizedTest
    @CsvSource({
        "unsigned-integer, 8, 1, 0.01",
        "signed-integer, 16, 1, 0.0001",
        "signed-integer, 24, 1, 0.000001",
        "signed-integer, 32, 1, 0.000001",
        "floating-point, 32, 1, 0.000001",
        "signed-integer, 16, 2, 0.0001",
        "signed-integer, 24, 3, 0.000001"
    })
    void whatSoxWritesIsTheSameSound(String coding, String bits, String channels, double off, @TempDir Path folder)
            throws IOException, InterruptedException {
        Path source = folder.resolve("source.wav");
        Path file = folder.resolve("file.wav");
        Files.write(source, written(TONE));
        List<String> command = new ArrayList<>(
                List.of("sox", "-D", source.toString(), "-e", coding, "-b", bits, "-c", channels, file.toString()));
        assertThat(new ProcessBuilder(command).inheritIO().start().waitFor()).isZero();
        Sound read = WavReader.read(Files.readAllBytes(file));
        assertThat(read.rate()).isEqualTo(16_000);
        assertThat(read.samples()).hasSize(TONE.samples().length);
        for (int i = 0; i < read.samples().length; i += 7) {
            assertThat((double) read.samples()[i]).isCloseTo(TONE.samples()[i], within(off));
        }
    }

    /** A program that writes to a pipe says a length that it can't know. */
    @ParameterizedTest
    @CsvSource({"0", "-1", "2147483647", "0x7ffff000"})
    void whateverLengthItSaysWhatIsThereIsRead(String length) throws IOException {
        byte[] bytes = written(TONE);
        int said = Integer.decode(length);
        for (int i = 0; i < 4; i++) {
            bytes[40 + i] = (byte) (said >> 8 * i);
            bytes[4 + i] = (byte) (said >> 8 * i);
        }
        assertThat(WavReader.read(bytes).samples()).hasSize(TONE.samples().length);
    }

    @Test
    void whatIsNoSuchFileIsRefusedWithASentence() throws IOException {
        byte[] whole = written(TONE);
        byte[] mp3 = whole.clone();
        mp3[20] = 0x55;
        byte[] slow = whole.clone();
        Arrays.fill(slow, 24, 28, (byte) 0);
        for (byte[] bad : List.of(
                new byte[0], new byte[11], "nothing of sound at all".getBytes(), mp3, slow, Arrays.copyOf(whole, 30))) {
            assertThatThrownBy(() -> WavReader.read(bad))
                    .isInstanceOf(InvalidInput.class)
                    .hasMessageEndingWith(".");
        }
        for (int cut = 12; cut < 60; cut++) {
            byte[] part = Arrays.copyOf(whole, cut);
            try {
                assertThat(WavReader.read(part).samples().length).isLessThan(8);
            } catch (InvalidInput none) {
                assertThat(cut).isLessThan(44);
            }
        }
    }
}
