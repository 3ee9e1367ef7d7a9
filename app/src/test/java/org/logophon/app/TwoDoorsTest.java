package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** One script through both doors: what the application delivers is what the command line writes, file by file. */
@Execution(ExecutionMode.CONCURRENT)
@RealSpeech
class TwoDoorsTest extends ApplicationTest {

    private static final String SCRIPT = """
            # The lens

            NARRATOR: The lens came by sea, and nobody slept.

            KEEPER: Wind north-west, force nine.

            # The lamp

            NARRATOR: Then the lamp was lit, at four, and it was morning.
            """;

    private static final String PARTS = "clips,programme,captions,words,timeline,markers,sheet,mouth,script";

    @TempDir
    private Path folder;

    private Map<String, String> ofTheApplication() throws IOException {
        String project = server.project("lantern", SCRIPT);
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "isla"));
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await("rendered", () -> server.ready(project) == 3);
        StringBuilder form = new StringBuilder("?pattern={number}&target=-19&asked=true&format=wav&rate=48000&bits=24");
        form.append("&minutes=10&title=false&captions=srt&captions=vtt");
        Stream.of(PARTS.split(",")).forEach(part -> form.append("&parts=").append(part));
        server.ask(project + "/deliveries" + form);
        Server.await("built", () -> server.get(project + "/deliveries").body().contains("/file\""));
        String address = server.get(project + "/deliveries").body().replaceAll("(?s).*?href=\"([^\"]+/file)\".*", "$1");
        Map<String, String> files = new TreeMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(server.bytes(address)))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), undated(zip.readAllBytes()));
            }
        }
        return files;
    }

    private Map<String, String> ofTheCommandLine() throws IOException, InterruptedException {
        Path script = Files.writeString(folder.resolve("lantern.txt"), SCRIPT);
        Path out = folder.resolve("out");
        Path log = folder.resolve("said.log");
        int status = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        "org.logophon.cli.Main",
                        "narrate",
                        script.toString(),
                        "--out",
                        out.toString(),
                        "--cast",
                        "Keeper=isla",
                        "--language",
                        "en-GB",
                        "--name",
                        "{number}",
                        "--deliver",
                        PARTS,
                        "--captions",
                        "srt,vtt",
                        "--bits",
                        "24")
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start()
                .waitFor();
        assertThat(status).as(Files.readString(log)).isZero();
        Map<String, String> files = new TreeMap<>();
        try (Stream<Path> all = Files.walk(out)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                files.put(out.relativize(file).toString(), undated(Files.readAllBytes(file)));
            }
        }
        return files;
    }

    /**
     * Byte by byte, but for ids and dates: a clip of the application carries its ids, so of a WAV file the sound is
     * compared. Places of single sounds are kept to a ten-thousandth of a second in the database, and compared to a
     * thousandth.
     */
    private static String undated(byte[] file) {
        String content = new String(file, StandardCharsets.ISO_8859_1);
        return content.startsWith("RIFF")
                ? content.substring(content.indexOf("data") + 8, content.indexOf("data") + 8 + dataBytes(file, content))
                : undated(content);
    }

    private static int dataBytes(byte[] file, String content) {
        return ByteBuffer.wrap(file).order(ByteOrder.LITTLE_ENDIAN).getInt(content.indexOf("data") + 4);
    }

    private static String undated(String content) {
        return content.replaceAll("\"(bytes|sha256|content)\" : \"?\\w+\"?", "")
                .replaceAll("(\\d\\.\\d{3})\\d", "$1")
                .replaceAll("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}", "(id)")
                .replaceAll("\\d{4}-\\d\\d-\\d\\d[T ]?\\d\\d:\\d\\d:\\d\\d(\\.\\d+)?Z?", "(date)");
    }

    /** What stands around the first difference; empty for none. */
    private static String difference(String one, String other) {
        int at = 0;
        while (at < Math.min(one.length(), other.length()) && one.charAt(at) == other.charAt(at)) {
            at++;
        }
        return one.equals(other) ? "" : around(one, at) + " ≠ " + around(other, at);
    }

    private static String around(String text, int at) {
        return text.substring(Math.max(0, at - 60), Math.min(text.length(), at + 60))
                .replaceAll("[^ -~]+", "·");
    }

    @Test
    void bothDeliverTheSame() throws Exception {
        Map<String, String> pages = ofTheApplication();
        Map<String, String> commands = ofTheCommandLine();
        assertThat(commands.keySet()).isEqualTo(pages.keySet());
        SoftAssertions files = new SoftAssertions();
        pages.forEach((name, content) -> files.assertThat(difference(content, commands.get(name)))
                .as(name)
                .isEmpty());
        files.assertAll();
    }
}
