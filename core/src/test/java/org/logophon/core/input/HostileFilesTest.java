package org.logophon.core.input;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.direction.ssml.SsmlReader;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavReader;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.text.reading.ReadingsFile;
import org.logophon.core.time.picture.PictureTimes;
import org.logophon.core.time.timecode.FrameRate;

/**
 * Files that people bring in and that the core reads itself, damaged: each is read, or refused with a sentence, in
 * little processor time. {@code -Dhostile.files} is how many of each, {@code -Dhostile.seed} damages them otherwise.
 */
class HostileFilesTest {

    private static final Duration MOST = Duration.ofSeconds(5);
    private static final int LONGEST = 20_000;
    private static final int FILES = Integer.getInteger("hostile.files", 100);
    private static final ThreadMXBean CPU = ManagementFactory.getThreadMXBean();

    private static final String EDL = """
            TITLE: FIRST FIRING
            FCM: NON-DROP FRAME

            001  AX       V     C        00:00:00:00 00:00:05:00 10:00:00:00 10:00:05:00
            * FROM CLIP NAME: KILN.MOV
            002  AX       V     D    012 00:00:10:00 00:00:13:12 10:00:05:00 10:00:08:12
            * FROM CLIP NAME: HANDS, CLOSE
            """;
    private static final String OTIO = """
            {"OTIO_SCHEMA": "Timeline.1", "name": "First Firing", "global_start_time": {"OTIO_SCHEMA": "RationalTime.1", "rate": 24.0, "value": 86400.0},
             "tracks": {"OTIO_SCHEMA": "Stack.1", "children": [{"OTIO_SCHEMA": "Track.1", "kind": "Video", "children": [
              {"OTIO_SCHEMA": "Clip.2", "name": "Kiln", "source_range": {"OTIO_SCHEMA": "TimeRange.1",
               "start_time": {"OTIO_SCHEMA": "RationalTime.1", "rate": 24.0, "value": 0.0}, "duration": {"OTIO_SCHEMA": "RationalTime.1", "rate": 24.0, "value": 120.0}}},
              {"OTIO_SCHEMA": "Gap.1", "source_range": {"OTIO_SCHEMA": "TimeRange.1",
               "start_time": {"OTIO_SCHEMA": "RationalTime.1", "rate": 24.0, "value": 0.0}, "duration": {"OTIO_SCHEMA": "RationalTime.1", "rate": 24.0, "value": 24.0}}}]}]}}
            """;
    private static final String SRT =
            "1\n00:00:01,000 --> 00:00:03,500\nThe kiln.\n\n2\n00:00:04,000 --> 00:00:05,000\nHands, close.\n";
    private static final String VTT = "WEBVTT\n\nNOTE a\n\n00:01.000 --> 00:03.500 line:0\nThe <i>kiln</i>.\n";
    private static final String TABLE = "name,in,out\nKiln,00:00:00:00,00:00:05:00\n\"Hands, close\",5.0,8.5\n";
    private static final String PLS = "<?xml version='1.0'?><lexicon version='1.0' "
            + "xmlns='http://www.w3.org/2005/01/pronunciation-lexicon' alphabet='ipa' xml:lang='en'>"
            + "<lexeme><grapheme>Skerrow</grapheme><phoneme>ˈskɛɹəʊ</phoneme></lexeme><lexeme><grapheme>NW</grapheme><alias>north-west</alias></lexeme></lexicon>";
    private static final String READINGS =
            "written,said,as,language,case\nNW,north-west,words,en,match\n4:52,four,time,,any\n";
    private static final String SSML =
            "<speak version='1.1' xmlns='http://www.w3.org/2001/10/synthesis' xml:lang='en-GB'><p><voice "
                    + "name='isla'><prosody rate='80%' pitch='+2st'>Fog</prosody>"
                    + " <break time='1s'/><say-as interpret-as='time'>4:52</say-as> <phoneme alphabet='ipa' "
                    + "ph='skɛɹəʊ'>Skerrow</phoneme></voice></p></speak>";
    private static final String DELIVERY =
            "{\"version\":1,\"title\":\"Fog\",\"files\":[{\"path\":\"010.wav\",\"bytes\":3,\"sha256\":\"00\",\"cue\":\"010\",\"change\":\"new\",\"why\":\"\",\"said\":\"a\",\"voice\":\"b\",\"content\":\"c\",\"start\":0}]}";

    /** A change of a file. @param place of its length, from 0 to 1 */
    private record Edit(int kind, double place, int count, int filler) {

        private static final List<String> FILLERS = List.of(
                "\0",
                "9",
                "-",
                "<",
                "]]>",
                "{\"",
                "[",
                "\r\n",
                ":",
                ";",
                "&a;",
                "<!DOCTYPE a [<!ENTITY a SYSTEM 'file:///etc/passwd'>]>",
                "\uFFFF",
                "é",
                "e999",
                " ");

        byte[] of(byte[] file) {
            int at = (int) (place * file.length);
            byte[] head = Arrays.copyOf(file, at);
            byte[] tail = Arrays.copyOfRange(file, at, file.length);
            byte[] filler = FILLERS.get(this.filler % FILLERS.size()).getBytes(StandardCharsets.UTF_8);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            out.writeBytes(head);
            switch (kind) {
                case 0 -> {
                    // cut off here
                }
                case 1 -> out.writeBytes(Arrays.copyOfRange(tail, Math.min(tail.length, count), tail.length));
                case 2 -> {
                    for (int i = 0; i < count; i++) {
                        out.writeBytes(filler);
                    }
                    out.writeBytes(tail);
                }
                case 3 -> {
                    byte[] part = Arrays.copyOf(tail, Math.min(tail.length, count));
                    for (int i = 0; i < count && out.size() < LONGEST; i++) {
                        out.writeBytes(part);
                    }
                    out.writeBytes(tail);
                }
                default -> {
                    byte[] other = tail.clone();
                    if (other.length > 0) {
                        other[0] = (byte) this.filler;
                    }
                    out.writeBytes(other);
                }
            }
            return out.toByteArray();
        }
    }

    private static final int MOST_EDITS = 9;

    private static byte[] damaged(byte[] whole, Random random) {
        byte[] now = whole;
        for (int edits = 1 + random.nextInt(MOST_EDITS); edits > 0; edits--) {
            now = new Edit(random.nextInt(10), random.nextDouble(), random.nextInt(201), random.nextInt(256)).of(now);
        }
        return now;
    }

    /** How many were read, and how many refused. */
    private record Outcome(int read, int refused) {}

    private static Outcome readOrRefused(Consumer<byte[]> reader, byte[]... whole) {
        for (byte[] file : whole) {
            reader.accept(file);
        }
        long seed = Long.getLong("hostile.seed", 1);
        Random random = new Random(seed);
        int read = 0;
        int refused = 0;
        for (int i = 0; i < FILES; i++) {
            byte[] file = damaged(whole[i % whole.length], random);
            String which = "file %d of seed %d: %s".formatted(i, seed, new String(file, StandardCharsets.UTF_8));
            long began = CPU.getCurrentThreadCpuTime();
            try {
                reader.accept(file);
                read++;
            } catch (InvalidInput sentence) {
                assertThat(sentence.getMessage()).as(which).endsWith(".").doesNotContain("Exception", "root:");
                refused++;
            } catch (RuntimeException | StackOverflowError failed) {
                throw new AssertionError(which, failed);
            }
            assertThat(Duration.ofNanos(CPU.getCurrentThreadCpuTime() - began))
                    .as("processor time for " + which)
                    .isLessThan(MOST);
        }
        return new Outcome(read, refused);
    }

    private static Outcome textsReadOrRefused(Consumer<String> reader, String... whole) {
        return readOrRefused(
                file -> reader.accept(new String(file, StandardCharsets.UTF_8)),
                Arrays.stream(whole)
                        .map(text -> text.getBytes(StandardCharsets.UTF_8))
                        .toArray(byte[][]::new));
    }

    private static void bothHappened(Outcome outcome) {
        assertThat(outcome.read()).as("damaged files that can still be read").isPositive();
        assertThat(outcome.refused()).as("damaged files that can't").isPositive();
    }

    @ParameterizedTest
    @CsvSource({"cut.edl, EDL", "cut.otio, OTIO", "cut.srt, SRT", "cut.vtt, VTT", "cut.csv, TABLE"})
    void timesOfAPicture(String name, Times whole) {
        bothHappened(textsReadOrRefused(file -> PictureTimes.read(name, file, FrameRate.DEFAULT, 0), whole.text));
    }

    @ParameterizedTest
    @EnumSource
    void timesOfAPictureWhoseNameSaysNothing(Times whole) {
        bothHappened(textsReadOrRefused(file -> PictureTimes.read("cut", file, FrameRate.DEFAULT, 0), whole.text));
    }

    private enum Times {
        EDL(HostileFilesTest.EDL),
        OTIO(HostileFilesTest.OTIO),
        SRT(HostileFilesTest.SRT),
        VTT(HostileFilesTest.VTT),
        TABLE(HostileFilesTest.TABLE);

        private final String text;

        Times(String text) {
            this.text = text;
        }
    }

    @Test
    void readingsOfAHouse() {
        bothHappened(textsReadOrRefused(ReadingsFile::read, PLS, READINGS));
    }

    @Test
    void scriptsWithMarks() {
        bothHappened(textsReadOrRefused(SsmlReader::read, SSML));
    }

    @Test
    void listsOfDeliveries() {
        bothHappened(textsReadOrRefused(Manifest::read, DELIVERY));
    }

    @Test
    void sounds() throws IOException {
        bothHappened(readOrRefused(
                WavReader::read, wave(SampleFormat.PCM_16), wave(SampleFormat.PCM_24), wave(SampleFormat.FLOAT_32)));
    }

    private static byte[] wave(SampleFormat format) throws IOException {
        float[] samples = new float[480];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) Math.sin(i / 7.0) / 2;
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        WavWriter.write(new Sound(samples, 48_000), format, null, out);
        return out.toByteArray();
    }
}
