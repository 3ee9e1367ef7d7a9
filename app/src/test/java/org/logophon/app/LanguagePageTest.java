package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.ResourceLock;

/** Both languages side by side, by keyboard. */
@ResourceLock("the account of what is hired")
class LanguagePageTest extends BrowserTest {

    private Locator words(int at) {
        return page.locator("textarea[data-cue]").nth(at);
    }

    private Locator state(int at) {
        return page.locator(".sides .state").nth(at);
    }

    @Test
    void aVersionIsMadeTranslatedAskedForAndKeptInStep() {
        // of what nobody has paid for yet there is always one
        String unknown = "Nobody has asked for " + UUID.randomUUID() + ".";
        String project = newProject(
                "Side by side",
                "Your wheel wobbles? You can true it in 50 seconds, with one small key.\n\nSpin again. "
                        + "Small turns, both sides, until the gap stays the same.\n\nNobody can translate this "
                        + "one.\n\n"
                        + unknown);
        page.getByText("Languages").click();
        accessible();
        page.getByLabel("Term").fill("Spin");
        page.getByLabel("Translation (empty: unchanged)").fill("Dreh");
        page.getByLabel("Glossary")
                .getByText("Add", new com.microsoft.playwright.Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.locator("#glossary")).containsText("is always Dreh");
        page.getByLabel("Add a language").selectOption("de");
        page.getByLabel("Versions")
                .getByText("Add", new com.microsoft.playwright.Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(words(0)).hasValue("Your wheel wobbles? You can true it in 50 seconds, with one small key.");
        assertThat(state(0)).hasText("to translate");
        accessible();

        // by hand: Enter saves and goes on
        words(2).focus();
        page.keyboard().press("Control+A");
        page.keyboard().type("Das hier kann niemand, in 3 Tagen.");
        page.keyboard().press("Enter");
        assertThat(state(2)).hasText("translated");
        assertThat(words(3)).isFocused();
        assertThat(page.locator(".sides .findings")).containsText("“3” isn't in the original.");

        // the rest from the service: its price first
        page.getByText("Ask the translation service").click();
        assertThat(page.locator("#agree")).isVisible();
        assertThat(page.locator("#agree")).isFocused();
        assertThat(page.locator("#told")).containsText("EUR at most");
        page.keyboard().press("Enter");
        assertThat(words(1))
                .hasValue("Dreh noch einmal. Kleine Drehungen, auf beiden Seiten, bis der Spalt gleich bleibt.");
        assertThat(state(0)).hasText("translated");
        assertThat(page.locator("#agree")).isHidden();

        // in another window the first language changes
        Page other = context.newPage();
        other.navigate(address() + project + "/write");
        assertThat(other.locator(".write[data-ready]")).isVisible();
        type(
                other,
                "Your wheel wobbles? You can true it in 40 seconds, with one small key.\n\nSpin again. "
                        + "Small turns, both sides, until the gap stays the same.\n\nNobody can translate this "
                        + "one.\n\n"
                        + unknown);
        assertThat(other.locator("#saved")).hasText(Pattern.compile("^saved.*"));
        assertThat(state(0)).hasText("to check");
        assertThat(page.locator(".sides .was")).containsText("50 seconds");
        page.getByText("Unchanged").click();
        assertThat(state(0)).hasText("translated");

        page.locator("#texts")
                .setInputFiles(new FilePayload(
                        "german.csv",
                        "text/csv",
                        "number,text\n010,Dein Rad eiert? In 40 Sekunden läuft es rund.\n"
                                .getBytes(StandardCharsets.UTF_8)));
        assertThat(page.locator("#told")).containsText("1 cue has words from german.csv");
        assertThat(words(0)).hasValue("Dein Rad eiert? In 40 Sekunden läuft es rund.");
        accessible();
    }
}
