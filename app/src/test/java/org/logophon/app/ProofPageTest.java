package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The panels beside the script, by keyboard. */
class ProofPageTest extends BrowserTest {

    private void press(String selector, String key) {
        page.locator(selector).first().focus();
        page.keyboard().press(key);
    }

    private void panel(String name) {
        page.locator("#tab-" + name).focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#tab-" + name)).hasAttribute("aria-selected", "true");
    }

    private Locator named(String label) {
        return page.getByLabel(label, new com.microsoft.playwright.Page.GetByLabelOptions().setExact(true))
                .first();
    }

    @Test
    void findingsAreUnderlinedAndTaken() {
        newProject("Proof", "Its lens weighs 2.3 t, under UV, on 06/07/2026.\n\nFfion wound the clock on 4 March.");
        assertThat(page.locator("#script u")).hasText(new String[] {"06/07/2026", "Ffion"});
        assertThat(page.locator("#todo-count")).hasText("2");
        assertThat(page.locator("#findings .kindhead"))
                .hasText(new String[] {"To decide · 1", "Names and words in no dictionary · 1", "Said by rule · 4"});
        accessible();
        page.locator(".byrule summary").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".ruleline .said"))
                .hasText(new String[] {"two point three metric tons", "U V", "wownde", "March fourth"});
        accessible();
        named("Say 4 March instead: the fourth of March").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".transport .hint")).hasText("1 reading kept.");
        assertThat(page.locator("#findings .kindhead").last()).hasText("Said by rule · 3");
        named("Never ask about Ffion in this project").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#todo-count")).hasText("1");
        page.locator(".finding .chip.first").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#todo-count")).hasText("0");
        assertThat(page.locator("#todo-none")).isVisible();
        page.getByText(Pattern.compile("Show again 1 ignored")).click();
        assertThat(page.locator("#todo-count")).hasText("1");
    }

    @Test
    void whatIsSaidByRuleIsFilteredAndExported() {
        String project =
                newProject("By rule", "It weighs 2.3 t, and cost $38,500 in 1911.\n\nLit at 4:52, and again at 4:52.");
        page.locator(".byrule summary").click();
        assertThat(page.locator(".ruleline")).hasCount(4);
        page.locator(".byrule summary").click();
        assertThat(page.locator(".ruleline").first()).isHidden();
        page.locator(".byrule summary").click();
        assertThat(page.locator(".ruleline")).hasCount(4);
        page.locator("#rule-filter").fill("nineteen");
        assertThat(page.locator(".ruleline .words")).hasText("1911");
        page.locator("#rule-filter").fill("money");
        assertThat(page.locator(".ruleline .said")).hasText("thirty-eight thousand five hundred dollars");
        assertThat(page.locator(".byrule")).containsText("1 of 4 forms");
        accessible();
        // the list follows the script, and the field is still being typed in
        page.locator("#rule-filter").fill("fifty");
        type(page, "Lit at 4:53.");
        assertThat(page.locator(".ruleline .said")).hasText("four fifty-three");
        assertThat(page.locator(".byrule a")).hasAttribute("href", project + "/proof/said.csv");
        assertThat(page.locator("#saved")).hasText(Pattern.compile("^saved.*"));
        org.assertj.core.api.Assertions.assertThat(
                        server.get(project + "/proof/said.csv").body())
                .isEqualTo("cue,written,said,kind,sureness\r\n010,4:53,four fifty-three,time,likely\r\n");
    }

    @Test
    void findingsFollowAsOneTypes() {
        newProject("Typing", "Plain words here.");
        assertThat(page.locator("#todo-none")).isVisible();
        page.locator("#script").press("Control+End");
        page.keyboard().type(" Skerrow weighs 12 W.");
        assertThat(page.locator("#script u")).hasText(new String[] {"Skerrow"});
        assertThat(page.locator(".finding .words")).hasText("Skerrow");
        assertThat(page.locator(".byrule summary")).hasText("Said by rule · 1");
    }

    @Test
    void readingsAreTriedKeptAndRemoved() {
        newProject("Readings", "Skerrow Head stands here.");
        named("Respell Skerrow").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#written")).hasValue("Skerrow");
        page.keyboard().type("skerro");
        var heard = page.waitForResponse(
                response -> response.url().contains("/lines/"),
                () -> page.getByLabel("Hear the first try").press("Enter"));
        org.assertj.core.api.Assertions.assertThat(heard.headerValue("content-type"))
                .isEqualTo("audio/wav");
        page.getByLabel("Said, first try").press("Enter");
        assertThat(page.locator(".readings")).hasCount(2);
        assertThat(page.locator("#other")).containsText("skerro");
        assertThat(page.locator("#other")).containsText("in 010");
        assertThat(page.locator("#todo-count")).hasText("0");
        accessible();
        named("Remove the reading of Skerrow").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#todo-count")).hasText("1");
    }

    @Test
    void findReplacesAndUndoBringsBack() {
        newProject("Find", "The lamp and the lamps.");
        page.locator("#script").press("Control+f");
        assertThat(page.locator("#what")).isFocused();
        page.keyboard().type("lamp");
        page.locator("#with").fill("light");
        page.locator("#with").press("Enter");
        assertThat(page.locator("#hits")).containsText("2 places.");
        accessible();
        press("[data-replace]", "Enter");
        holds(page, "The light and the lights.");
        page.locator("#script").press("Control+z");
        holds(page, "The lamp and the lamps.");
        page.reload();
        assertThat(page.locator("#redo")).isEnabled();
        page.locator("#script").press("Control+Shift+z");
        holds(page, "The light and the lights.");
    }

    @Test
    void cuesAreSplitAndJoinedByKeyAndByClick() {
        newProject("Cuts", "One two three four.");
        page.locator("#script").press("Control+Home");
        page.locator("#script").press("Control+ArrowRight");
        page.locator("#script").press("Control+ArrowRight");
        page.locator("#script").press("Control+Enter");
        assertThat(page.locator(".cutmark b")).hasText("020");
        page.locator("#script").press("Control+End");
        page.locator("#join-up").click();
        assertThat(page.locator(".cutmark")).hasCount(0);
        page.locator("#split-here").click();
        assertThat(page.locator(".transport .hint")).containsText("Put the caret before a word");
    }

    @Test
    void aWayOfSplittingIsSeenBeforeItIsTaken() {
        newProject("Splitting", "One sentence here. Another sentence there. And a third.");
        press("#open-splitting", "Enter");
        page.locator("#way").selectOption("sentence");
        assertThat(page.locator("#split-preview")).containsText("3 cues, the longest about");
        assertThat(page.locator("#split-lines li")).hasCount(3);
        accessible();
        press("#split-take", "Enter");
        assertThat(page.locator("#splitting-now")).hasText("each sentence");
        assertThat(page.locator("#head")).containsText("3 cues");
        press("#open-numbers", "Enter");
        page.locator("#number-start").fill("1");
        page.locator("#number-step").fill("1");
        assertThat(page.locator("#numbers-preview")).hasText("001, 002, 003");
        press("#numbers-take", "Enter");
        assertThat(page.locator("#numbers-now")).hasText("001, 002, 003");
    }

    @Test
    void versionsAreComparedAndRestored() {
        newProject("Versions", "The lamp was lit at dusk.");
        paste("The lamp was lit at dawn.");
        panel("versions");
        Locator first = page.locator(".versions .hit").nth(1);
        assertThat(first).containsText("Typed");
        first.focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#compared del")).hasText("dusk");
        assertThat(page.locator("#compared ins")).hasText("dawn");
        accessible();
        press("[data-restore]", "Enter");
        holds(page, "The lamp was lit at dusk.");
        panel("counts");
        assertThat(page.locator("#other")).containsText("Characters without spaces");
        accessible();
        panel("watch");
        page.locator("#avoid").fill("dusk");
        page.locator("#instead").fill("nightfall");
        page.locator("#instead").press("Enter");
        assertThat(page.locator("#todo-count")).hasText("1");
        accessible();
        panel("proof");
        named("Use: nightfall").focus();
        page.keyboard().press("Enter");
        holds(page, "The lamp was lit at nightfall.");
        panel("watch");
        named("No longer watch for dusk").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#other")).not().containsText("dusk");
    }

    @Test
    void documentsAreShownBeforeTheyAreTaken() {
        newProject("Open", "Words from before.");
        press("#open-files", "Enter");
        page.locator("#files").setInputFiles(new FilePayload[] {
            new FilePayload(
                    "cues.csv",
                    "text/csv",
                    "who,script,in,out\nkeeper,Fog till noon.,0:01,0:03\nkeeper,The boy slept.,0:04,0:06\n"
                            .getBytes(StandardCharsets.UTF_8))
        });
        assertThat(page.locator("#opened")).containsText("table · 2 cues");
        assertThat(page.locator("#opened")).containsText("times become slots");
        assertThat(page.locator("#opened select[data-field=text]")).hasValue("1");
        accessible();
        page.getByText("Add after it").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".margincue .number")).hasText(new String[] {"010", "020", "030"});
        assertThat(page.locator(".margintime").nth(1)).containsText(Pattern.compile("of 2\\.0 s"));
        holds(page, Pattern.compile("^Words from before\\.[\\s\\S]*KEEPER: Fog till noon\\.[\\s\\S]*"));
        press("#open-files", "Enter");
        page.locator("#files").setInputFiles(new FilePayload[] {
            new FilePayload("a.docx", "application/octet-stream", new byte[] {'P', 'K', 3, 4, 0, 0})
        });
        assertThat(page.locator("#opened")).containsText("packed file");
        assertThat(page.getByText("Replace the script")).isDisabled();
    }

    @Test
    void severalFilesBecomeProjectsAndWhatIsTooLargeIsASentence() {
        newProject("Several", "");
        press("#open-files", "Enter");
        page.locator("#files").setInputFiles(new FilePayload[] {
            new FilePayload("first module.txt", "text/plain", "Module one.".getBytes(StandardCharsets.UTF_8)),
            new FilePayload("second module.txt", "text/plain", "Module two.".getBytes(StandardCharsets.UTF_8))
        });
        assertThat(page.locator(".opened")).hasCount(2);
        page.getByText("Make projects").click();
        assertThat(page).hasTitle(Pattern.compile("first module.*"));
        page.navigate(address() + "/");
        assertThat(page.locator("table")).containsText("second module");
    }

    @Test
    void whatABigChangeDidIsReportedAndCanBeTakenBack() {
        newProject("Report", "Alpha words stand here.\n\nBravo words stand there.\n\nCharlie words stand apart.");
        paste("Alpha words stand here.\n\nCharlie words stand apart.");
        assertThat(page.locator("#report")).containsText("2 kept, 1 gone (020)");
        accessible();
        page.getByText("Restore 020").focus();
        page.keyboard().press("Enter");
        holds(page, "Alpha words stand here.\n\nBravo words stand there.\n\nCharlie words stand apart.");
    }

    @Test
    void wordsToAvoidAreWatchedForInEveryProject() {
        newProject("Watch", "A zonkish lamp stands here.");
        panel("watch");
        accessible();
        page.locator("#avoid").focus();
        page.keyboard().type("zonkish");
        page.keyboard().press("Tab");
        page.keyboard().type("plain, simple");
        page.keyboard().press("Enter");
        assertThat(page.locator("#other .readings")).containsText("zonkish → plain, simple");
        panel("proof");
        named("Use: plain").focus();
        page.keyboard().press("Enter");
        holds(page, "A plain lamp stands here.");
        panel("watch");
        named("No longer watch for zonkish").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#other .readings")).not().containsText("zonkish");
    }

    @Test
    void countsAreByTheSceneAndTheRoleAndAgainstATarget() {
        newProject(
                "Counts",
                "# One\n\nNARRATOR: Two words.\n\n# Two\n\nKEEPER: "
                        + "Wind north-west, force nine, and rain. ".repeat(6));
        panel("counts");
        accessible();
        // counted by hand: 10 for the first cue; six sentences of 38 and five spaces between them for the second
        assertThat(page.locator("table.counts").first()).containsText(Pattern.compile("Words\\s*38"));
        assertThat(page.locator("table.counts").first()).containsText(Pattern.compile("Characters\\s*243"));
        assertThat(page.locator("table.counts").nth(1)).containsText(Pattern.compile("One\\s*1\\s*2\\s*10"));
        assertThat(page.locator("table.counts").nth(2)).containsText(Pattern.compile("Keeper\\s*1\\s*36\\s*233"));
        page.locator("#target").focus();
        page.keyboard().type("0:10");
        page.keyboard().press("Enter");
        assertThat(page.locator("#total-against"))
                .containsText(Pattern.compile("too long by \\d+ s, about \\d+ words"));
    }

    @Test
    void aCueInAnotherLanguageGetsAVoiceThatSpeaksIt() {
        newProject(
                "Language",
                "NARRATOR: The wheel is out of true.\n\nSPRECHERIN: Kommt die Felge links zu nah, zieh "
                        + "eine Speiche an, die nach rechts führt.");
        assertThat(page.locator("#findings")).containsText("German");
        Locator voice = page.locator(
                        "#findings .finding", new com.microsoft.playwright.Page.LocatorOptions().setHasText("German"))
                .locator(".chip.first");
        voice.focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#findings")).not().containsText("German");
    }
}
