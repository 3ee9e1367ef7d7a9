package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Route;
import java.util.Map;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.logophon.app.speech.MadeUpSpeech;

/** The Direct page, the transport, and what they say when something is missing. */
class DirectPageTest extends BrowserTest {

    private String rendered(String name, String script) {
        String project = newProject(name, script);
        page.getByText(Pattern.compile("Render \\d+ cues?")).click();
        assertThat(page.locator("#head")).containsText("all rendered");
        open("Direct");
        assertThat(page.locator("#score .word").first()).isVisible();
        return project;
    }

    @Test
    void aPageThatHearsOfNoMarksSaysSoAndGoesOn() {
        String project = newProject("No marks", "Wind north-west, force nine.");
        page.route(
                "**/mark-kinds",
                route -> route.fulfill(new Route.FulfillOptions()
                        .setStatus(404)
                        .setContentType("text/html")
                        .setBody("<h1>A proxy's page</h1>")));
        page.navigate(address() + project + "/direct");
        assertThat(page.locator("#no-marks"))
                .containsText("Marks can’t be set now. The answer (status 404) isn’t Logophon’s.");
        setDial("cue-pace", "80");
    }

    @Test
    void takesAreKeptChosenDeletedAndBroughtBack() {
        rendered("Takes", "Wind north-west, force nine.");
        setDial("cue-pace", "80");
        assertThat(page.locator("#cuestate")).hasText("changed");
        page.locator("#render-cue").click();
        assertThat(page.locator(".takes li")).hasCount(2);
        assertThat(page.locator(".takes li.kept b")).hasText("T2");
        page.getByLabel("Keep T1").click();
        assertThat(page.locator(".takes li.kept b")).hasText("T1");
        assertThat(page.locator("#cuestate")).hasText("ready");
        page.getByLabel("Delete T2").click();
        assertThat(page.locator(".takes li")).hasCount(1);
        page.locator("#deleted-take button").click();
        assertThat(page.locator(".takes li")).hasCount(2);
    }

    @Test
    void undoOutlivesAStageThatIsDrawnTwiceInARow() {
        rendered("Twice", "Wind north-west, force nine.");
        setDial("cue-pace", "80");
        page.locator("#render-cue").click();
        page.getByLabel("Delete T1").click();
        assertThat(page.locator("#deleted-take")).isVisible();
        page.evaluate("() => { htmx.config.defaultSettleDelay = 1500; }");
        for (int i = 0; i < 2; i++) {
            page.evaluate("""
                    () => {
                      document.getElementById('stage').dataset.before = 'true';
                      htmx.ajax('GET', location.href, { target: '#stage', swap: 'outerHTML' });
                    }""");
            assertThat(page.locator("#stage[data-before]")).hasCount(0);
        }
        page.locator("#deleted-take button").click();
        assertThat(page.locator(".takes li")).hasCount(2);
    }

    @Test
    void aChangeInAnotherWindowIsNotOverwritten() {
        String project = rendered("Two windows", "The lamp was lit at four.");
        String cue = server.cues(project).get(0).get("id").asString();
        // what is being typed is not taken away by what others do
        page.locator("#cue-pace").fill("70");
        server.post(project + "/cues/" + cue + "/direction", Map.of("pitch", "2", "version", "0"));
        page.locator("#cue-pace").press("Tab");
        assertThat(page.locator(".notice[role=alert]")).containsText("changed in another window");
        assertThat(page.locator("#cue-pitch")).hasValue("2.0");
        assertThat(page.locator("#cue-pace")).hasValue("");
    }

    @Test
    void anOutOfRangeValueIsASentenceAndChangesNothing() {
        rendered("Range", "The lamp was lit at four.");
        page.locator("#cue-pace").fill("900");
        page.locator("#cue-pace").press("Tab");
        // the browser's own check may hold the form back; the server's sentence stands behind it
        String project = page.url().replaceAll("^.*?(/projects/[^/]+).*$", "$1");
        String cue = server.cues(project).get(0).get("id").asString();
        assertThat(server.post(project + "/cues/" + cue + "/direction", Map.of("pace", "900", "version", "0"))
                        .body())
                .contains("Pace goes from 50 to 200 %, and 900 is outside.");
        assertThat(server.ready(project)).isEqualTo(1);
    }

    @Test
    void aRoleWithoutAVoiceIsNamedUntilItIsCast() {
        newProject("Voiceless", "NARRATOR: Words.\n\nKEEPER: Who speaks?");
        open("Direct");
        page.locator("#cuelist a").nth(1).click();
        assertThat(page.locator(".centre")).containsText("Keeper has no voice yet");
        page.locator("#render-cue").click();
        assertThat(page.locator(".notice[role=alert]")).containsText("Keeper has no voice yet");
        accessible();
        page.locator("#try-voice").click();
        assertThat(page.locator(".transport .hint")).containsText("Choose a voice first");
        page.locator("#voice").selectOption("bram");
        assertThat(page.locator("#cuestate")).hasText("not rendered");
        assertThat(page.locator("#cuelist .state").nth(1)).hasText("not rendered");
    }

    @Test
    void theTransportPlaysOnAndGoesWhereOneClicks() {
        rendered(
                "Transport",
                "The lamp was lit.\n\nNobody in the tower slept that night, nor for many nights to come.\n\nThree.");
        assertThat(page.locator(".strip rect.state-ready")).hasCount(3);
        page.getByLabel("Play the programme").click();
        assertThat(page.locator("#stage h1")).hasText("Cue 020");
        assertThat(page.locator(".transport .time")).not().hasText("00:00:00:00");
        page.locator(".transport .play").click();
        Locator strip = page.locator(".strip");
        strip.click(new Locator.ClickOptions().setPosition(steady(strip).width - 4, 10));
        assertThat(page.locator("#stage h1")).hasText("Cue 030");
        assertThat(strip).hasAttribute("aria-valuetext", "cue 030, Narrator, ready");
    }

    @Test
    void aBatchShowsItsProgressAndCanBeCancelled() {
        String script = IntStream.range(0, 20)
                .mapToObj("On night %d the wind went round to the north.\n\n"::formatted)
                .collect(Collectors.joining());
        String project = newProject("Stopped", script);
        try (MadeUpSpeech.Held held = MadeUpSpeech.hold("wind went round")) {
            page.getByText("Render 20 cues").click();
            assertThat(page.locator("#head progress")).isVisible();
            page.locator("#head").getByText("Cancel").click();
            assertThat(page.locator("#head")).containsText(Pattern.compile("Render \\d+ cues"));
        }
        assertThat(server.json(project + "/programme").get("rendering").asInt()).isZero();
    }

    @Test
    void pagesThatAreMissingSaySo() {
        page.navigate(address() + "/projects/00000000-0000-0000-0000-000000000000/write");
        assertThat(page.locator("h1")).containsText("doesn't exist any more");
        accessible();
        page.getByText("Back to the shelf").click();
        assertThat(page).hasURL(Pattern.compile(".*/$"));
        assertThat(page.locator("main")).not().isEmpty();
    }

    @Test
    void atTwiceTheZoomNothingIsOutOfReach() {
        rendered("Zoomed", "The lamp was lit at four, and it burned until the morning.");
        // 200 % of 1280 by 800 leaves half of it
        page.setViewportSize(640, 400);
        for (String reachable : new String[] {"#render-cue", "#cue-pause", "#voice"}) {
            page.locator(reachable).scrollIntoViewIfNeeded();
            assertThat(page.locator(reachable)).isInViewport();
        }
        assertThat((Integer) page.evaluate("document.documentElement.scrollWidth"))
                .isLessThanOrEqualTo(640);
    }
}
