package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** A link made on Listen, and what somebody does with it on a phone. */
class SharePageTest extends BrowserTest {

    /** Keeps which words were lit, each with its cue's place: a word is lit for a moment only. */
    private static final String LIT = """
            () => {
              window.lit = [];
              new MutationObserver(changes => changes.forEach(({ target }) => {
                if (!target.matches('.w.now')) return;
                const cues = [...document.querySelectorAll('.sharedcue')];
                window.lit.push(`${cues.indexOf(target.closest('.sharedcue'))} ${target.textContent}`);
              })).observe(document.body, { subtree: true, attributeFilter: ['class'] });
            }""";

    @Test
    void aLinkFromListenIsHeardNotedAndApprovedOnAPhone() {
        String project = server.project(
                "For Ffion", "# Night\n\nWind north-west, force nine.\n\n# Morning\n\nNobody slept that night.");
        server.post(project + "/render", Map.of("step", "LISTEN"));
        Server.await("rendered", () -> server.ready(project) == 2);
        page.navigate(address() + project + "/listen");
        assertThat(page.locator("html[data-live]")).isAttached();
        // the takes push what is under them down as they come
        assertThat(page.locator("#lanes > *").first()).isVisible();
        page.getByText("Share…").click();
        page.locator("#sharing-name").fill("Ffion");
        page.locator("#sharing-phrase").fill("wind north-west");
        accessible();
        page.keyboard().press("Enter");
        assertThat(page.locator("#sharing-list")).containsText("Ffion leads to the programme as it is");
        String link = page.locator("#sharing-address").inputValue();
        page.locator("#sharing-close").click();

        try (BrowserContext phone = page.context()
                .browser()
                .newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                        .setViewportSize(390, 780)
                        .setHasTouch(true))) {
            Page theirs = phone.newPage();
            List<String> asked = new ArrayList<>();
            theirs.onRequest(request -> asked.add(request.url()));
            theirs.navigate(link);
            theirs.locator("#phrase").fill("wind south");
            theirs.keyboard().press("Enter");
            assertThat(theirs.locator("#wrong")).containsText("isn't the pass phrase");
            theirs.locator("#phrase").fill("wind north-west");
            theirs.keyboard().press("Enter");
            Locator cues = theirs.locator(".sharedcue");
            assertThat(cues).hasCount(2);
            assertThat(theirs.locator("#scenes button")).hasCount(2);
            theirs.evaluate(LIT);
            theirs.locator("#play").click();
            theirs.waitForFunction(
                    "() => window.lit.includes('0 force') && window.lit.some(word => word.startsWith('1 '))");
            theirs.locator("#play").click();
            theirs.locator("#note").click();
            theirs.locator("#remark").fill("Slower here.");
            theirs.locator("#remark").press("Enter");
            assertThat(theirs.locator(".hint")).containsText("Type your name first");
            theirs.locator("#name").fill("Ffion");
            theirs.getByText("Save note").click();
            assertThat(cues.nth(1).locator(".sharednotes")).containsText("Slower here.");
            assertThat(page.locator("#filters [data-filter=noted] .count")).hasText("1");
            cues.nth(0).getByText("Approve").click();
            assertThat(cues.nth(0)).containsText("approved by Ffion");
            assertThat(page.locator("#order-told")).containsText("1 of 2 approved");
            accessible(theirs);
            assertThat(theirs.evaluate("document.documentElement.scrollWidth <= innerWidth"))
                    .isEqualTo(true);
            assertThat(asked)
                    .allMatch(url ->
                            url.startsWith(address() + "/s/") || url.matches(".*/(css|js|webjars|fonts|mark\\.svg).*"));
            page.getByText("Share…").click();
            page.getByText("Revoke").click();
            assertThat(theirs.locator("#nothing")).containsText("This link was revoked");
            assertThat(cues).hasCount(0);
        }
    }

    @Test
    @ResourceLock("feed")
    void aDeliveryIsPutIntoTheFeedAndTakenOut() {
        String project = server.project("For subscribers", "Wind north-west, force nine.");
        server.post(project + "/render", Map.of("step", "DELIVER"));
        Server.await("rendered", () -> server.ready(project) == 1);
        page.navigate(address() + "/feed");
        page.locator("#feed-title").fill("Lantern stories");
        page.keyboard().press("Enter");
        assertThat(page.locator("#feed-told")).containsText("Copy its URL now");
        assertThat(page.locator("#feed-address").inputValue()).contains("/f/").endsWith("/programmes.xml");
        accessible();
        page.navigate(address() + project + "/deliver");
        page.locator("[name=parts][value=programme]").check();
        page.locator("#build").click();
        page.locator("[data-share]").first().click();
        page.locator("#sharing-put").click();
        assertThat(page.locator("#sharing-infeed")).hasText("It is in the feed.");
        accessible();
        page.navigate(address() + "/feed");
        Locator line = page.locator("#feed-items li").filter(new Locator.FilterOptions().setHasText("For subscribers"));
        assertThat(line).containsText("delivery 1");
        line.getByRole(com.microsoft.playwright.options.AriaRole.BUTTON).click();
        assertThat(line).hasCount(0);
    }
}
