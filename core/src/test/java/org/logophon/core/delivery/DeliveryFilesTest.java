package org.logophon.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.logophon.core.ProcessorTime;
import org.logophon.core.delivery.part.SheetPart;
import org.logophon.core.signal.loudness.Loudness;
import org.logophon.core.time.programme.Programme;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;

class DeliveryFilesTest {

    private static ClipFields fields(String text, String role, String scene) {
        return new ClipFields("010", text, role, "Isla", "T1", scene, "The Lantern Room");
    }

    @Test
    void theDefaultPatternSortsByNumber() {
        String text = "At the top of Skerrow Head stands a lamp that has not been lit since 1987.";
        assertThat(new FileNames(null).next(fields("At the top of Skerrow Head", "", ""), "wav"))
                .isEqualTo("010_at-the-top-of-skerrow-head.wav");
        assertThat(Slug.of(text)).hasSizeLessThanOrEqualTo(40).startsWith("at-the-top");
        assertThat(Slug.of("Ŵyl y môr 灯")).isEqualTo("wyl-y-mor-deng");
        assertThat(Slug.of("…")).isEqualTo("cue");
    }

    @Test
    void whatDidNotFitIsTold() {
        FileNames names = new FileNames("{scene}/{number}_{role}");
        ClipFields plain = new ClipFields("010", "Text", "Keeper", "Isla", "", "One", "Film");
        ClipFields wide = new ClipFields("020", "Text", "日".repeat(60), "Isla", "", "One", "Film");
        assertThat(names.named(plain, "wav")).isEqualTo(new FileNames.Name("One/010_Keeper.wav", false));
        assertThat(names.named(wide, "wav").shortened()).isTrue();
    }

    private static long work(int characters) {
        return ProcessorTime.of(() -> {
            for (String scene : List.of(
                    "x".repeat(characters),
                    ".".repeat(characters / 2) + "x" + ".".repeat(characters / 2) + "x",
                    "\ud83d\ude00".repeat(characters / 2))) {
                String name = new FileNames("{number}_{scene}").next(fields("", "", scene), "wav");
                assertThat(name).startsWith("010_").endsWith(".wav");
                assertThat(name.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(120);
            }
        });
    }

    /** Four times as long; by the square it would be sixteen times the work. */
    @Test
    void aFieldAsLongAsAScriptIsCut() {
        work(10_000);
        assertThat((double) work(1_000_000) / work(250_000)).isLessThan(8);
    }

    @Test
    void anUnknownFieldIsNamed() {
        assertThatThrownBy(() -> new FileNames("{nummer}")).hasMessageStartingWith("{nummer} is no field");
    }

    /** Reserved characters and names as Microsoft's "Naming Files, Paths, and Namespaces" lists them. */
    @Property(tries = 500, seed = "1")
    void namesAreSafeAndUnique(@ForAll List<String> roles) {
        FileNames names = new FileNames("{role}");
        Set<String> seen = new HashSet<>();
        List<String> hostile = new ArrayList<>(roles);
        hostile.addAll(List.of(
                "CON", "aux.txt", "../../etc/passwd", "a", "A", "  ", ".", "lpt1", "x".repeat(400), "é".repeat(90)));
        for (String role : hostile) {
            String name = names.next(fields("", role, ""), "wav");
            assertThat(name)
                    .doesNotContainPattern("[<>:\"/\\\\|?*\\p{Cntrl}]")
                    .endsWith(".wav")
                    .doesNotStartWith(".");
            assertThat(name.toLowerCase(Locale.ROOT)).doesNotMatch("^(con|prn|aux|nul|com\\d|lpt\\d)\\..*");
            assertThat(name.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(120);
            assertThat(seen.add(name.toLowerCase(Locale.ROOT))).as(name).isTrue();
        }
    }

    @Test
    void cueSheetReadsBackAndRunsNothing() throws Exception {
        DeliveredClip clip = new DeliveredClip(
                "010",
                "a.wav",
                "=cmd|'/c calc'!A1",
                "Narrator",
                "Isla",
                "He said: \"no\",\nthen went.",
                List.of(),
                new Loudness(-19, true),
                Double.NEGATIVE_INFINITY);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        SheetPart.plain(new Delivered(
                        "Sheet",
                        "en-GB",
                        FrameRate.DEFAULT,
                        0,
                        Programme.inOrder(List.of(
                                new Programme.Entry<>(clip, SampleCount.ofMillis(2_250), SampleCount.ofMillis(400)))),
                        List.of(),
                        List.of()))
                .content()
                .write(out);
        CSVRecord row = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(out.toString(StandardCharsets.UTF_8)))
                .getRecords()
                .get(0);
        assertThat(row.get("scene")).isEqualTo("'=cmd|'/c calc'!A1");
        assertThat(row.get("text")).isEqualTo("He said: \"no\",\nthen went.");
        assertThat(row.get("duration_s")).isEqualTo("2.250");
        assertThat(row.get("true_peak_dbtp")).isEmpty();
    }
}
