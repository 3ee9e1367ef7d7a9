package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** The dark page: as the system has it, or as somebody chose; legible by the same rules (WCAG 2.2 AA, by axe-core). */
class DarkPageTest extends BrowserTest {

    private static final String SCRIPT = """
            # The headland

            NARRATOR: The lamp was lit at four. Nobody slept that night (laughs), and 3,500 ships passed Skerrow.

            KEEPER: Wind north-west, force nine.
            """;

    private void isDark(boolean dark) {
        assertThat(page.locator("html")).hasAttribute("data-bs-theme", dark ? "dark" : "light");
    }

    @Test
    void everyStepIsLegibleInTheDark() {
        String project = server.project("In the dark", SCRIPT);
        server.post(project + "/cast", Map.of("role", "Keeper", "voice", "hamish"));
        server.post(project + "/render", Map.of("step", "LISTEN"));
        Server.await("rendered", () -> server.ready(project) == 2);
        String cue = server.cues(project).get(0).get("id").asString();
        server.post(
                project + "/cues/" + cue + "/marks", Map.of("start", "4", "end", "8", "kind", "pace", "value", "80"));
        server.post(project + "/cues/" + cue + "/notes", Map.of("remark", "Quieter here.", "at", "4"));
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        for (String[] step : new String[][] {
            {"/write", ".finding, .editor"},
            {"/cast", "#voices tr[data-voice]"},
            {"/direct", "#score .word"},
            {"/listen", "#lanes > *"},
            {"/record", "#go"},
            {"/place", "#rows tr"},
            {"/deliver", "#pattern"},
            {"/beds", "#overview"},
            {"/languages", "#glossary"}
        }) {
            page.navigate(address() + project + step[0]);
            isDark(true);
            assertThat(page.locator(step[1]).first()).isAttached();
            accessible();
        }
        for (String house : new String[] {"/", "/storage", "/status", "/notifications", "/feed", "/ledger"}) {
            page.navigate(address() + house);
            isDark(true);
            accessible();
        }
    }

    @Test
    void aChoiceIsRememberedUntilItIsWhatTheSystemHas() {
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.LIGHT));
        page.navigate(address() + "/");
        isDark(false);
        page.locator("[data-theme-switch]").press("Enter");
        isDark(true);
        assertThat(page.locator("[data-theme-switch]")).hasAttribute("aria-pressed", "true");
        page.reload();
        isDark(true);
        page.locator("[data-theme-switch]").press("Enter");
        isDark(false);
        // followed again from here on
        page.emulateMedia(new Page.EmulateMediaOptions().setColorScheme(ColorScheme.DARK));
        isDark(true);
    }
}
