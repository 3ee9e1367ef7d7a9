package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Route;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.beans.factory.annotation.Autowired;

/** Hired voices on the pages, by keyboard: what costs is agreed to on purpose, and never while one passes by. */
@ResourceLock("the account of what is hired")
class HiredPageTest extends BrowserTest {

    @Autowired
    private VoiceCatalogue voices;

    @BeforeEach
    void listed() {
        Server.await(
                "hired voices are listed", () -> voices.find("hired-rosalind").isPresent());
    }

    private void cast(String name, String script) {
        String project = newProject(name, script);
        page.navigate(address() + project + "/cast?language=English&cost=hired");
        assertThat(page.locator("#voices tbody tr")).hasCount(3);
    }

    @Test
    void aLineIsHeardAfterItsPriceWasSeenAndArrowsNeverPay() {
        cast("Heard for a price", "The rail is cold tonight.");
        long before = STAND_IN.used();
        page.locator("tr[data-voice=hired-rosalind] .play").focus();
        page.keyboard().press("Space");
        assertThat(page.locator(".hint")).containsText("This costs 25 characters of hired voices, 0.01 EUR.");
        assertThat(page.locator("tr[data-voice=hired-rosalind] .price")).hasText("this line: 0.01 EUR");
        accessible();
        page.keyboard().press("ArrowDown");
        assertThat(page.locator("tr[data-voice=hired-thaddeus] .price")).hasText("this line: 0.01 EUR");
        page.keyboard().press("ArrowUp");
        assertThat(page.locator("tr[data-voice=hired-rosalind]")).hasClass(Pattern.compile("now"));
        org.assertj.core.api.Assertions.assertThat(STAND_IN.used()).isEqualTo(before);
        page.keyboard().press("Space");
        assertThat(page.locator("tr[data-voice=hired-rosalind] .price")).hasText("");
        org.assertj.core.api.Assertions.assertThat(STAND_IN.used()).isEqualTo(before + 25);
        page.keyboard().press("c");
        assertThat(page.locator("#candidates .candidate")).hasCount(1);
    }

    @Test
    void aCandidateWhoseNextLineCostsStaysWithItsPrice() {
        cast("Side by side for a price", "One mark in the book.\n\nAnother mark, later on.");
        page.locator("tr[data-voice=hired-rosalind] .compare").click();
        assertThat(page.locator(".hint")).containsText("This costs 21 characters");
        page.locator("tr[data-voice=hired-rosalind] .compare").click();
        assertThat(page.locator("#candidates svg")).hasCount(1);
        page.locator("#line").selectOption(new com.microsoft.playwright.options.SelectOption().setIndex(1));
        assertThat(page.locator("#candidates .candidate")).containsText("This costs 23 characters");
        page.getByText("Play for 0.01 EUR").click();
        assertThat(page.locator("#candidates svg")).hasCount(1);
    }

    @Test
    void castingRenderingAndTheLedger() {
        cast("Paid by keyboard", "The stair has ninety steps.\n\nEach one is worn.");
        page.locator("tr[data-voice=hired-imogen] .play").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#casting")).isVisible();
        assertThat(page.locator("#casting-cost"))
                .containsText("Rendering all of them costs 44 characters of hired voices, 0.02 EUR.");
        accessible();
        page.locator("#casting-do").press("Enter");
        assertThat(page.locator(".role-0 .pill")).hasText("cast");
        page.getByText("Direct").first().click();
        // the page's scripts are there once the cues are listed
        assertThat(page.locator("#cuelist a")).hasCount(2);
        page.keyboard().press("r");
        assertThat(page.locator("#render-paid")).isFocused();
        assertThat(page.locator("#render-paid")).hasText("Render for 0.01 EUR");
        accessible();
        page.keyboard().press("Enter");
        assertThat(page.locator("#cuestate")).hasText("ready");
        page.locator("#head .btn-amber").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".priced")).containsText("This costs 17 characters");
        accessible();
        page.getByText("Render for 0.01 EUR").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#head")).containsText("all rendered");
        page.navigate(address() + "/ledger");
        assertThat(page.locator(
                        "tr", new com.microsoft.playwright.Page.LocatorOptions().setHasText("Paid by keyboard")))
                .containsText("44");
        accessible();
    }

    /** Whichever answer comes first: of a head that is drawn anew, and of the press on its button. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void aPressAtTheHeadIsAnsweredWhateverDrawsItAnew(boolean drawnFirst) {
        String project = newProject("Pressed meanwhile", "The rope is new.");
        server.post(project + "/cast", Map.of("role", "Narrator", "voice", "hired-imogen"));
        page.navigate(address() + project + "/write");
        assertThat(page.locator(".write[data-ready]")).isVisible();
        assertThat(page.locator("#head .btn-amber")).hasText("Render 1 cue");
        List<Route> drawing = new ArrayList<>();
        List<Route> pressing = new ArrayList<>();
        page.route("**/render?step=WRITE", route -> {
            boolean press = route.request().method().equals("POST");
            (press ? pressing : drawing).add(route);
        });
        page.evaluate("""
                async () => {
                  const { renew } = await import('/js/app.js');
                  renew('#head', document.querySelector('#head .btn-amber').getAttribute('hx-post'));
                }""");
        page.waitForCondition(() -> !drawing.isEmpty());
        page.locator("#head .btn-amber").press("Enter");
        page.waitForCondition(() -> !pressing.isEmpty());
        (drawnFirst ? drawing : pressing).remove(0).resume();
        if (!drawnFirst) {
            assertThat(page.locator(".priced")).containsText("This costs 16 characters");
        }
        (drawnFirst ? pressing : drawing).remove(0).resume();
        page.unrouteAll();
        drawing.forEach(Route::resume);
        assertThat(page.locator(".priced")).containsText("This costs 16 characters");
        page.evaluate("() => new Promise(resolve => setTimeout(resolve, 200))");
        assertThat(page.locator(".priced")).containsText("This costs 16 characters");
    }
}
