package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The application as its user meets it: a real browser, real audio, from a pasted script to checked clips. */
@RealSpeech
class WholePathTest extends BrowserTest {

    private static final String SCRIPT = """
            # The headland

            NARRATOR: At the top of Skerrow Head stands a lamp that has not been lit since 1987.

            KEEPER: Wind north-west, force nine. Lit the lamp at 4:52. Read until two.

            NARRATOR: Then the LED goes in: 12 W, that’s all.
            """;

    @TempDir
    private Path folder;

    @Test
    void fromAPastedScriptToCheckedClips() throws Exception {
        pastedProject("The Lantern Room", SCRIPT);
        accessible();
        assertThat(page.locator(".margincue .number")).hasText(new String[] {"010", "020", "030"});
        assertThat(page.locator(".margincue .who")).hasText(new String[] {"Narrator", "Keeper", "Narrator"});
        assertThat(page.locator("#findings")).containsText("Keeper has no voice yet");
        open("Direct");
        accessible();

        // cast the keeper, and hear a voice try his line
        page.locator("#cuelist a").nth(1).click();
        assertThat(page.locator("#stage h1")).hasText("Cue 020");
        page.locator("#voice").selectOption("hamish");
        assertThat(page.locator(".centre .pill.sea")).hasText("Keeper · Hamish");
        page.locator("#try-voice").click();

        // direct: the keeper slower and lower, this cue louder, a longer pause after it
        page.locator("#tab-role").click();
        setDial("role-pace", "90");
        setDial("role-pitch", "-2");
        page.locator("#tab-cue").click();
        setDial("cue-loudness", "3");
        setDial("cue-pause", "1.2");
        assertThat(page.locator(".comes"))
                .containsText("pace 90 %, pitch −2.0 st, loudness 3.0 dB, pause after 1.20 s");
        page.getByText("Render 3 cues").click();
        assertThat(page.locator("#stage[data-state=ready] #score .word")).hasCount(12);
        assertThat(page.locator("#head")).containsText("all rendered");
        assertThat(page.locator(".measured")).containsText("-16.0 LUFS".replace('-', '−'));
        assertThat(page.locator(".measured .state-changed")).hasCount(0);
        accessible();

        // click a word: it plays from there, and the playhead moves
        page.locator("#score .word").nth(7).locator("rect").click();
        assertThat(page.locator("#score .word.now")).hasCount(1);
        assertThat(page.locator("#score .head-cap")).isVisible();

        deliver();
    }

    private void deliver() throws Exception {
        open("Deliver");
        assertThat(page.locator("#names").getByText(".wav")).hasCount(3);
        page.getByLabel("File names").fill("{number}_{role}");
        assertThat(page.locator("#names").getByText(".wav").nth(1)).hasText("020_Keeper.wav");
        page.getByText("Build package").click();
        Locator link = page.locator(".past a").first();
        assertThat(link).isVisible();
        accessible();
        Download download = page.waitForDownload(link::click);
        List<Path> clips = new ArrayList<>();
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(download.path()))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                Path file = folder.resolve(entry.getName());
                Files.copy(zip, file);
                if (entry.getName().endsWith(".wav")) {
                    clips.add(file);
                }
            }
        }
        assertThat(clips)
                .extracting(p -> p.getFileName().toString())
                .containsExactly("010_Narrator.wav", "020_Keeper.wav", "030_Narrator.wav");
        // ffprobe and ffmpeg's ebur128 meter are the outside reference
        double[] loudness = {-19, -16, -19};
        for (int i = 0; i < clips.size(); i++) {
            assertThat(tool(
                                    "ffprobe",
                                    "-v",
                                    "error",
                                    "-show_entries",
                                    "stream=codec_name,sample_rate,channels",
                                    "-of",
                                    "csv=p=0",
                                    clips.get(i).toString())
                            .strip())
                    .isEqualTo("pcm_s24le,48000,1");
            String meter = tool(
                    "ffmpeg",
                    "-hide_banner",
                    "-nostats",
                    "-i",
                    clips.get(i).toString(),
                    "-af",
                    "ebur128=peak=true",
                    "-f",
                    "null",
                    "-");
            assertThat(last(meter, "I:\\s+(-?[\\d.]+) LUFS")).isCloseTo(loudness[i], within(0.3));
            assertThat(last(meter, "Peak:\\s+(-?[\\d.]+) dBFS")).isLessThanOrEqualTo(-0.9);
        }
        assertThat(Files.readAllLines(folder.resolve("cue-sheet.csv"))).hasSize(4);
        // ffmpeg reads the captions as SubRip and finds the words again
        assertThat(tool(
                        "ffmpeg",
                        "-v",
                        "error",
                        "-i",
                        folder.resolve("captions.srt").toString(),
                        "-f",
                        "webvtt",
                        "-"))
                .contains("WEBVTT")
                .contains("Lit the lamp at 4:52.");
    }

    @Test
    void theSameByKeyboardAlone() {
        String project = pastedProject("Keys", "One tide, and the lamp comes down.\n\nThen it is down.");
        page.navigate(address() + project + "/direct");
        assertThat(page.locator("#stage h1")).hasText("Cue 010");
        page.keyboard().press("r");
        assertThat(page.locator("#stage[data-state=ready] #score .word")).hasCount(7);
        assertThat(page.locator("#score .head-cap")).isVisible();
        assertThat(page.locator("#score .head-cap")).isHidden();
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("#score .word:focus")).hasAttribute("aria-label", Pattern.compile("^(One|tide).*"));
        page.keyboard().press("Space");
        assertThat(page.locator("#score .head-cap")).isVisible();
        page.keyboard().press("]");
        assertThat(page.locator("#stage h1")).hasText("Cue 020");
        page.locator(".strip").focus();
        page.keyboard().press("Home");
        assertThat(page.locator("#stage h1")).hasText("Cue 010");
        page.locator("#tab-cue").focus();
        page.keyboard().press("ArrowRight");
        assertThat(page.locator("#level-role")).isVisible();
    }

    @Test
    void twoTabsKeepBothTexts() {
        String project = pastedProject("Two tabs", "First words.");
        // this tab's words are on their way while the other one saves
        page.route("**/script", com.microsoft.playwright.Route::abort);
        type(page, "Words of this tab.");
        assertThat(page.locator("#saved")).hasText("not saved yet");
        Page other = TestBrowser.get().newPage();
        other.navigate(address() + project + "/write");
        assertThat(other.locator(".write[data-ready]")).isVisible();
        type(other, "Words of the other tab.");
        assertThat(other.locator("#saved")).hasText(java.util.regex.Pattern.compile("^saved.*"));
        other.close();
        page.unroute("**/script");
        assertThat(page.locator("#conflict")).containsText("Nothing was overwritten");
        page.locator("#keep-both").click();
        holds(page, "Words of this tab.");
        assertThat(page).hasTitle(Pattern.compile("Two tabs \\(second text\\).*"));
        assertThat(server.json(project + "/script").get("words").asInt()).isEqualTo(5);
    }

    @Test
    void theShelfUndoesADelete() {
        pastedProject("Gone and back", "Words.");
        page.navigate(address() + "/");
        accessible();
        page.locator("summary[aria-label='Delete Gone and back']").click();
        accessible();
        page.getByLabel("Delete Gone and back now").click();
        assertThat(page.locator("table")).not().containsText("Gone and back");
        page.locator("button", new Page.LocatorOptions().setHasText("Undo")).click();
        assertThat(page.locator("table")).containsText("Gone and back");
    }

    private static String tool(String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(Stream.of(command).toList() + printed).isZero();
        return printed;
    }

    private static double last(String text, String pattern) {
        Matcher found = Pattern.compile(pattern).matcher(text);
        double value = Double.NaN;
        while (found.find()) {
            value = Double.parseDouble(found.group(1));
        }
        return value;
    }
}
