package org.logophon.core.input;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.ShrinkingMode;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.picture.PictureTimes;
import org.logophon.core.reading.ReadingsFile;
import org.logophon.core.sound.Sound;
import org.logophon.core.ssml.SsmlReader;
import org.logophon.core.timecode.FrameRate;
import org.logophon.core.wav.SampleFormat;
import org.logophon.core.wav.WavReader;
import org.logophon.core.wav.WavWriter;

/**
 * Files that people bring in and that the core reads itself, damaged: each is read, or refused with a sentence, and soon.
 * How many of each is {@code -Dhostile.files}, 100 and more; a failure tells its seed.
 */
class HostileFilesTest {

    private static final Duration MOST = Duration.ofSeconds(5);
    private static final int LONGEST = 20_000;
    private static final int TRIES = 100;
    private static final int EACH = Math.max(1, Integer.getInteger("hostile.files", TRIES) / TRIES);

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
    private static final String PLS =
            "<?xml version='1.0'?><lexicon version='1.0' xmlns='http://www.w3.org/2005/01/pronunciation-lexicon' alphabet='ipa' xml:lang='en'>"
                    + "<lexeme><grapheme>Skerrow</grapheme><phoneme>ˈskɛɹəʊ</phoneme></lexeme><lexeme><grapheme>NW</grapheme><alias>north-west</alias></lexeme></lexicon>";
    private static final String READINGS =
            "written,said,as,language,case\nNW,north-west,words,en,match\n4:52,four,time,,any\n";
    private static final String SSML =
            "<speak version='1.1' xmlns='http://www.w3.org/2001/10/synthesis' xml:lang='en-GB'><p><voice name='isla'><prosody rate='80%' pitch='+2st'>Fog</prosody>"
                    + " <break time='1s'/><say-as interpret-as='time'>4:52</say-as> <phoneme alphabet='ipa' ph='skɛɹəʊ'>Skerrow</phoneme></voice></p></speak>";
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

    private static Arbitrary<byte[]> damaged(byte[]... whole) {
        Arbitrary<Edit> edit = Combinators.combine(
                        Arbitraries.integers().between(0, 9),
                        Arbitraries.doubles().between(0, 1),
                        Arbitraries.integers().between(0, 200),
                        Arbitraries.integers().between(0, 255))
                .as(Edit::new);
        return Combinators.combine(Arbitraries.of(whole), edit.list().ofMaxSize(8))
                .as((file, edits) -> {
                    byte[] now = file;
                    for (Edit one : edits) {
                        now = one.of(now);
                    }
                    return now;
                });
    }

    private static Arbitrary<String> damaged(String... whole) {
        return damaged(Arrays.stream(whole)
                        .map(text -> text.getBytes(StandardCharsets.UTF_8))
                        .toArray(byte[][]::new))
                .map(bytes -> new String(bytes, StandardCharsets.UTF_8));
    }

    @Provide
    Arbitrary<List<String>> times() {
        return damaged(EDL, OTIO, SRT, VTT, TABLE).list().ofSize(EACH);
    }

    @Provide
    Arbitrary<List<String>> readings() {
        return damaged(PLS, READINGS).list().ofSize(EACH);
    }

    @Provide
    Arbitrary<List<String>> marked() {
        return damaged(SSML).list().ofSize(EACH);
    }

    @Provide
    Arbitrary<List<String>> deliveries() {
        return damaged(DELIVERY).list().ofSize(EACH);
    }

    @Provide
    Arbitrary<List<byte[]>> sounds() throws IOException {
        return damaged(wave(SampleFormat.PCM_16), wave(SampleFormat.PCM_24), wave(SampleFormat.FLOAT_32))
                .list()
                .ofSize(EACH);
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

    private static void readOrRefused(Runnable reading) {
        Instant began = Instant.now();
        try {
            reading.run();
        } catch (InvalidInput refused) {
            assertThat(refused.getMessage()).endsWith(".").doesNotContain("Exception", "root:");
        }
        assertThat(Duration.between(began, Instant.now())).isLessThan(MOST);
    }

    @Property(tries = TRIES, shrinking = ShrinkingMode.OFF)
    void timesOfAPicture(@ForAll("times") List<String> files) {
        for (String name : new String[] {"cut.edl", "cut.otio", "cut.srt", "cut.csv", "cut"}) {
            files.forEach(file -> readOrRefused(() -> PictureTimes.read(name, file, FrameRate.DEFAULT, 0)));
        }
    }

    @Property(tries = TRIES, shrinking = ShrinkingMode.OFF)
    void readingsOfAHouse(@ForAll("readings") List<String> files) {
        files.forEach(file -> readOrRefused(() -> ReadingsFile.read(file)));
    }

    @Property(tries = TRIES, shrinking = ShrinkingMode.OFF)
    void scriptsWithMarks(@ForAll("marked") List<String> files) {
        files.forEach(file -> readOrRefused(() -> SsmlReader.read(file)));
    }

    @Property(tries = TRIES, shrinking = ShrinkingMode.OFF)
    void listsOfDeliveries(@ForAll("deliveries") List<String> files) {
        files.forEach(file -> readOrRefused(() -> Manifest.read(file)));
    }

    @Property(tries = TRIES, shrinking = ShrinkingMode.OFF)
    void sounds(@ForAll("sounds") List<byte[]> files) {
        files.forEach(file -> readOrRefused(() -> WavReader.read(file)));
    }
}
