package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Download;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The Deliver page by key and by mouse; what is downloaded is opened by outside tools. */
class DeliverPageTest extends BrowserTest {

    @TempDir
    Path folder;

    private String rendered(String name, String script, int cues) {
        String project = server.project(name, script);
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "isla"));
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await("rendered", () -> server.ready(project) == cues);
        page.navigate(address() + project + "/deliver");
        assertThat(page.locator("html[data-live]")).isAttached();
        return project;
    }

    private static String said(String... command) throws IOException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        try (InputStream in = process.getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).strip();
        }
    }

    private Path built(int number) throws IOException {
        page.locator("#build").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#deliveries li").first()).containsText("Delivery " + number);
        assertThat(page.locator("#deliveries li").first()).containsText("Download");
        Download download = page.waitForDownload(() -> page.locator("#deliveries li")
                .first()
                .getByText("Download", new com.microsoft.playwright.Locator.GetByTextOptions().setExact(true))
                .click());
        Path zip = folder.resolve(number + ".zip");
        download.saveAs(zip);
        return zip;
    }

    private List<Path> opened(Path zip) throws IOException {
        List<Path> files = new ArrayList<>();
        try (ZipFile read = new ZipFile(zip.toFile())) {
            for (ZipEntry entry : read.stream().toList()) {
                Path file = folder.resolve(zip.getFileName().toString().replace(".zip", ""))
                        .resolve(entry.getName());
                Files.createDirectories(file.getParent());
                try (InputStream in = read.getInputStream(entry)) {
                    Files.copy(in, file);
                }
                files.add(file);
            }
        }
        return files;
    }

    @Test
    void whatIsBuiltByKeyIsOpenedByOutsideToolsAndTheNextTellsWhatChanged() throws IOException {
        String project = rendered(
                "Built",
                "KEEPER: Wind north-west, force nine.\n\nKEEPER: Nobody slept, and the lamp was lit at four.",
                2);
        page.locator("[name=parts][value=programme]").focus();
        page.keyboard().press("Space");
        page.locator("[name=parts][value=mouth]").check();
        page.locator("#format").selectOption("flac");
        assertThat(page.locator("#contents")).containsText("programme.flac");
        accessible();
        double seconds = 0;
        for (Path file : opened(built(1))) {
            String name = file.getFileName().toString();
            if (name.endsWith(".flac")) {
                double runs = Double.parseDouble(said(
                        "ffprobe",
                        "-v",
                        "error",
                        "-show_entries",
                        "format=duration",
                        "-of",
                        "csv=p=0",
                        file.toString()));
                seconds += name.startsWith("programme") ? 0 : runs;
                assertThat(runs).isGreaterThan(1);
            } else if (name.endsWith(".srt") || name.endsWith(".vtt")) {
                assertThat(said(
                                "ffprobe",
                                "-v",
                                "error",
                                "-show_entries",
                                "stream=codec_type",
                                "-of",
                                "csv=p=0",
                                file.toString()))
                        .isEqualTo("subtitle");
            } else if (name.endsWith(".json")) {
                assertThat(Server.parsed(Files.readString(file)).isObject()).isTrue();
            }
        }
        var mouth =
                Server.parsed(Files.readString(folder.resolve("1/mouth.json"))).get("cues");
        double shaped = 0;
        for (var cue : mouth) {
            assertThat(cue.get("from").asString()).isEqualTo("engine");
            shaped += cue.get("shapes")
                    .get(cue.get("shapes").size() - 1)
                    .get("end")
                    .asDouble();
        }
        assertThat(shaped).isCloseTo(seconds, within(0.001));
        // another voice: the page tells before it is built what will have changed
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "marnie"));
        server.post(project + "/render", Map.of("step", "DELIVER"));
        assertThat(page.locator("#contents")).containsText("changed: voice");
        built(2);
        page.getByLabel("View files of delivery 2").click();
        assertThat(page.locator("#delivered")).containsText("changed: voice");
        page.keyboard().press("Escape");
        assertThat(page.locator("#delivered")).isHidden();
    }

    @Test
    void aCaptionIsCorrectedWithoutTheScriptAndTellsWhenTheWordsChange() throws IOException {
        String project = rendered("Read", "KEEPER: The lens weighs two point three tonnes.", 1);
        page.locator("#wish [data-captions]").first().click();
        var box = page.locator("#captions textarea");
        box.fill(" ");
        page.keyboard().press("Tab");
        assertThat(page.locator("#captions-problem")).containsText("A caption can't be empty.");
        box.fill("The lens weighs 2.3 t.");
        page.keyboard().press("Tab");
        assertThat(page.locator("#captions .shown")).containsText("The lens weighs 2.3 t.");
        accessible();
        page.keyboard().press("Escape");
        List<Path> files = opened(built(1));
        assertThat(files.stream().map(file -> file.getFileName().toString())).contains("captions.srt");
        assertThat(Files.readString(folder.resolve("1/captions.srt"))).contains("The lens weighs 2.3 t.");
        assertThat(server.get(project + "/write").body()).contains("The lens weighs two point three tonnes.");
        // a copy of the project brings its captions along
        server.post(project + "/duplicate", Map.of());
        String copy = server.named("Read (copy)");
        assertThat(server.get(copy + "/deliver/captions").body()).contains("The lens weighs 2.3 t.");
        server.save(project, "KEEPER: The old lens weighs two point three tonnes.", 1);
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await("again", () -> server.ready(project) == 1);
        page.locator("#wish [data-captions]").first().click();
        assertThat(page.locator("#captions"))
                .containsText("corrected before the words changed: The lens weighs 2.3 t.");
        assertThat(page.locator("#captions textarea")).hasValue("The old lens weighs two point three tonnes.");
    }

    @Test
    void aSetOfOnesOwnIsKeptChosenAndTakenAway() {
        rendered("Sets", "KEEPER: One line.", 1);
        String name = "for the puppet " + System.nanoTime() % 100_000;
        page.locator("[name=parts][value=mouth]").check();
        page.locator("#format").selectOption("mp3");
        page.locator("[name=setName]").fill(name);
        page.keyboard().press("Enter");
        assertThat(page.locator("#sets")).containsText(name);
        page.locator("#sets").getByText("an editor").click();
        assertThat(page.locator("[name=parts][value=mouth]")).not().isChecked();
        page.locator("#sets").getByText(name).click();
        assertThat(page.locator("[name=parts][value=mouth]")).isChecked();
        assertThat(page.locator("#format")).hasValue("mp3");
        page.locator("[name=setName]").fill("an editor");
        page.keyboard().press("Enter");
        assertThat(page.locator("#wish-problem")).containsText("is built in");
        page.getByLabel("Take the set " + name + " away").click();
        assertThat(page.locator("#sets")).not().containsText(name);
    }

    @Test
    void aClipFindsItsCueAndMakesItAgainElsewhere() throws IOException {
        String project = rendered("Back", "KEEPER: The lamp, at *four*.\n\nKEEPER: Then morning.", 2);
        page.locator("#format").selectOption("mp3");
        Path clip = opened(built(1)).stream()
                .filter(file -> file.toString().endsWith(".mp3"))
                .findFirst()
                .orElseThrow();
        Path foreign = Files.write(folder.resolve("wind.wav"), new byte[400]);
        page.locator("#clips").setInputFiles(new Path[] {clip, foreign});
        assertThat(page.locator("#returned")).containsText("Cue 010 of “Back”, take T1, the kept one.");
        assertThat(page.locator("#returned")).containsText("This isn't a clip that Logophon delivered");
        accessible();
        page.getByText("Restore as a new project").click();
        page.waitForURL(address -> address.endsWith("/write") && !address.contains(project));
        holds(page, java.util.regex.Pattern.compile("(?s).*The lamp, at \\*?four\\*?\\..*"));
        page.navigate(page.url().replace("/write", "/cast"));
        assertThat(page.locator("body")).containsText("Keeper");
        assertThat(page.locator("body")).containsText("Isla");
    }
}
