package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** The pages about people, by keyboard, in two browsers. */
class PeoplePageTest extends PeopleApplication {

    private final List<BrowserContext> open = new ArrayList<>();
    private final List<String> complaints = new ArrayList<>();

    private Page browser() {
        BrowserContext context =
                TestBrowser.get().newContext(new Browser.NewContextOptions().setViewportSize(1280, 800));
        context.setDefaultTimeout(60_000);
        context.onWebError(error -> complaints.add(error.error()));
        context.onConsoleMessage(message -> {
            // a wrong pass phrase, an ended session or stream, and what isn't theirs any more are answers under test
            if (message.type().equals("error")
                    && !message.text().matches(".*(401|403|404|ERR_INCOMPLETE_CHUNKED_ENCODING).*")) {
                complaints.add(message.text());
            }
        });
        open.add(context);
        return context.newPage();
    }

    @AfterEach
    void noComplaints() {
        open.forEach(BrowserContext::close);
        assertThat(complaints).isEmpty();
    }

    private static Locator told(Page page) {
        return page.locator(".told:not([hidden])");
    }

    private void signIn(Page page, String name, String phrase) {
        page.getByLabel("Name").fill(name);
        page.getByLabel("Pass phrase").fill(phrase);
        page.keyboard().press("Enter");
    }

    @Test
    void anOwnerInvitesAListenerWhoHearsAndNotes() {
        Server keeper = keeper();
        String workspace = workspace(keeper, named("Paged"));
        String project = project(keeper, workspace, "Shown", "The lamp burns.\n\nThe sea takes the rest.");
        keeper.post(project + "/render", Map.of("step", "DIRECT"));
        Server.await("rendered", () -> keeper.ready(project) == 2);
        Page owner = browser();
        owner.navigate(address() + workspace + "/people");
        assertThat(owner).hasURL(Pattern.compile(".*/sign-in\\?then=.*"));
        Accessible.check(owner);
        signIn(owner, "Morwenna", "not the right words");
        assertThat(told(owner)).hasText("Name or pass phrase is wrong.");
        signIn(owner, "Morwenna", PHRASE);
        assertThat(owner.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("In this workspace")))
                .isVisible();
        owner.getByLabel("as", new Page.GetByLabelOptions().setExact(true)).selectOption("listener");
        owner.getByText("Create link").click();
        assertThat(owner.locator("#people")).containsText("days left");
        String link = owner.locator("#link-address").inputValue();
        Accessible.check(owner);

        Page guest = browser();
        guest.navigate(link);
        Accessible.check(guest);
        String name = named("Tamsin");
        guest.getByLabel("Your name").fill(name);
        guest.getByLabel("A pass phrase").fill("gulls over the lamp room");
        guest.keyboard().press("Enter");
        assertThat(guest.getByText("Shown")).isVisible();
        assertThat(guest.locator(".newproject")).hasCount(0);
        Accessible.check(guest);
        guest.getByText("Shown").click();
        assertThat(guest.locator("#words")).containsText("The lamp burns.");
        assertThat(guest.locator(".path li")).hasCount(1);
        assertThat(guest.locator("#more")).isHidden();
        assertThat(guest.locator("svg.lane, .lane svg").first()).isVisible();
        assertThat(guest.locator(".laneacts button")).hasCount(0);
        Accessible.check(guest);
        guest.keyboard().press("n");
        guest.locator("#note-text").fill("Slower here.");
        guest.keyboard().press("Enter");
        assertThat(guest.locator("#notelist")).containsText(name);
        assertThat(guest.locator("#notelist")).not().containsText("Direct");

        // taken out, the page says so and asks for nothing more
        owner.reload();
        owner.getByLabel("Remove " + name + " from the workspace").click();
        assertThat(told(owner)).containsText("Removed from the workspace");
        guest.keyboard().press("Enter");
        assertThat(guest.locator(".transport .hint")).containsText("doesn't exist any more");

        // signed out elsewhere, what is on the page stays
        owner.navigate(address() + project + "/write");
        assertThat(owner.locator(".write[data-ready]")).isVisible();
        keeper.post("/me/phrase", Map.of("now", PHRASE, "phrase", PHRASE));
        owner.locator("#script").focus();
        owner.keyboard().press("Control+End");
        owner.keyboard().type(" More.");
        assertThat(owner.locator("#signed-out")).containsText("What is on this page stays");
        BrowserTest.holds(owner, Pattern.compile("(?s).*rest\\. More\\."));
        Page again = open.get(0).newPage();
        again.navigate(address() + "/sign-in");
        signIn(again, "Morwenna", PHRASE);
        assertThat(again.locator("#projects")).isVisible();
        owner.locator("#script").focus();
        owner.keyboard().type(" And more.");
        assertThat(owner.locator("#saved")).hasText(Pattern.compile("^saved.*"));
        again.navigate(address() + "/me");
        Accessible.check(again);
    }
}
