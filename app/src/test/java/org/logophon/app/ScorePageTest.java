package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.BoundingBox;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Marks on the score, by keyboard alone and by mouse. */
@RealSpeech
class ScorePageTest extends BrowserTest {

    private static final String LINE = "The crew have one tide to lift it out, and the sling is rated for it.";

    private void score(String name) {
        newProject(name, LINE);
        open("Direct");
        // the page's scripts are there once the cues are listed
        assertThat(page.locator("#cuelist a")).hasCount(1);
        page.locator("#render-cue").click();
        assertThat(page.locator("#stage[data-state=ready] #score .word")).hasCount(16);
    }

    private void press(String... keys) {
        for (String key : keys) {
            page.keyboard().press(key);
        }
    }

    private Locator list() {
        return page.locator("#marklist li");
    }

    @Test
    void aRunIsChosenNudgedRenderedAndUndoneByKeyboard() {
        score("By keyboard");
        press("ArrowRight", "ArrowRight", "ArrowRight", "ArrowRight", "Shift+ArrowRight", "Shift+ArrowRight");
        assertThat(page.locator("#markbar h2")).hasText("“one … to”, 3 words");
        // somebody else does something meanwhile: the score is drawn anew, and the keyboard stays where it is
        page.evaluate("document.querySelector('#score svg').dataset.before = 'true'");
        page.evaluate("document.dispatchEvent(new CustomEvent('logophon:changed', { detail: { kinds: ['status'] } }))");
        assertThat(page.locator("#score svg[data-before]")).hasCount(0);
        assertThat(page.locator("#score .word:focus")).hasCount(1);
        press("d", "d", "d", "d", "Shift+U");
        assertThat(list()).hasText(new String[] {"“one … to”pitch −1.9 stRemove"});
        press("s", "s", "s", "s", "s");
        assertThat(page.locator("#score .lane")).hasCount(2);
        assertThat(page.locator("#cuestate")).hasText("changed");
        // the gap after the last of them, and a breath in it
        press("ArrowDown", ".", ".", ".", ".", ".", ".", ".", ".", "b");
        assertThat(page.locator("#markbar h2")).hasText("Between “to” and “lift”");
        assertThat(page.locator("#markbar [name=pause]")).hasValue("0.40");
        assertThat(page.locator("#markbar [name=breath]")).hasValue("light");
        accessible();
        press("r");
        assertThat(page.locator("#stage[data-state=ready] #score .rest.asked")).hasCount(1);
        assertThat(page.locator("#score .lane-pitch text")).hasText(Pattern.compile("pitch −1.9 st (✓|→ −(1.8|2.0))"));
        assertThat(page.locator("#score .lane-pace text")).hasText("pace 90 % ✓");
        press("Control+z");
        assertThat(list()).hasCount(3);
        press("Control+Shift+z");
        assertThat(list()).hasCount(4);
        press("?");
        assertThat(page.locator("#keys")).containsText("the next cue that is changed");
        accessible();
        page.locator("#keys button").press("Enter");
        assertThat(page.locator("#keys")).isHidden();
    }

    @Test
    void stressWhisperAndTypedValuesAreSetRemovedCopiedAndPasted() {
        score("By typing");
        page.locator("#score .word").nth(4).locator("rect").click();
        press("e", "e");
        assertThat(page.locator("#score .word").nth(4)).hasClass(Pattern.compile("stress-strong"));
        page.locator("#markbar [name=loudness]").fill("-3.5");
        page.locator("#markbar [name=loudness]").press("Enter");
        assertThat(list()).hasCount(2);
        page.locator("#markbar [name=style]").selectOption("sad");
        assertThat(list()).hasCount(3);
        assertThat(page.locator("#score .word").nth(4))
                .hasAttribute(
                        "aria-label",
                        Pattern.compile("tide, at .* seconds, loudness −3.5 dB, strong, sad: play from here"));
        page.locator("#score .word").nth(4).focus();
        press("Control+c");
        assertThat(page.locator(".hint")).hasText("3 marks copied.");
        page.locator("#score .word").nth(11).locator("rect").click();
        press("Control+v");
        assertThat(list()).hasCount(6);
        press("x");
        assertThat(list()).hasCount(3);
        press("h");
        assertThat(page.locator("#score .word").nth(11)).hasClass(Pattern.compile("whispered"));
        page.locator("#markbar [name=pitch]").fill("99");
        page.locator("#markbar [name=pitch]").press("Enter");
        assertThat(page.locator(".hint")).containsText("Pitch goes from -12 to 12 semitones");
        page.getByLabel("Remove whisper of sling").click();
        assertThat(list()).hasCount(3);
    }

    @Test
    void theMouseChoosesARunAndDragsItsPitchItsPaceAndARest() {
        score("By mouse");
        BoundingBox first = steady(page.locator("#score .word rect").nth(3));
        BoundingBox last = steady(page.locator("#score .word").nth(6).locator("rect"));
        page.mouse().move(first.x + 5, first.y + 8);
        page.mouse().down();
        page.mouse().move(last.x - 20, last.y + 8);
        page.mouse().move(last.x + 5, last.y + 8);
        page.mouse().up();
        assertThat(page.locator("#markbar h2")).hasText("“one … lift”, 4 words");
        BoundingBox pitch = steady(page.locator("#score .grip-pitch").first());
        page.mouse().move(pitch.x + pitch.width / 2, pitch.y + 30);
        page.mouse().down();
        page.mouse().move(pitch.x + pitch.width / 2, pitch.y + 40);
        page.mouse().move(pitch.x + pitch.width / 2, pitch.y + 45);
        page.mouse().up();
        assertThat(page.locator("#score .lane-pitch text")).hasText(Pattern.compile("pitch −[1-9].*"));
        BoundingBox pace = steady(page.locator("#score .grip-pace").first());
        page.mouse().move(pace.x + 4, pace.y + 10);
        page.mouse().down();
        page.mouse().move(pace.x + 20, pace.y + 10);
        page.mouse().move(pace.x + 40, pace.y + 10);
        page.mouse().up();
        assertThat(page.locator("#score .lane-pace text")).hasText(Pattern.compile("pace [6-9][0-9] %"));
        BoundingBox rest = steady(page.locator("#score .grip-rest").first());
        page.mouse().move(rest.x + 4, rest.y + 10);
        page.mouse().down();
        page.mouse().move(rest.x + 60, rest.y + 10);
        page.mouse().move(rest.x + 84, rest.y + 10);
        page.mouse().up();
        assertThat(page.locator("#score .rest.asked")).hasCount(1);
        press("Control+z");
        assertThat(page.locator("#score .rest.asked")).hasCount(0);
        assertThat(list()).hasCount(2);
    }

    /** Also where words touch, inside a phrase. */
    @Test
    void aGapBetweenTouchingWordsIsChosenAndPulledOpenByMouse() {
        score("Pulled open");
        Locator joint = page.locator("#score .joint[data-gap='3'] .grip-rest");
        joint.click();
        assertThat(page.locator("#markbar h2")).hasText("Between “one” and “tide”");
        assertThat(page.locator("#markbar [name=pause]")).isVisible();
        BoundingBox edge = steady(joint);
        page.mouse().move(edge.x + edge.width / 2, edge.y + 10);
        page.mouse().down();
        page.mouse().move(edge.x + edge.width / 2 + 30, edge.y + 10);
        page.mouse().move(edge.x + edge.width / 2 + 64, edge.y + 10);
        page.mouse().up();
        // 64 pixels of 160 a second
        assertThat(list()).hasText(new String[] {"after “one”pause 0.40 sRemove"});
    }

    /** What phrasing does is drawn, says why, and becomes a mark of one's own at a press. */
    @Test
    void phrasingIsSeenAndBecomesAMark() {
        score("Phrased");
        assertThat(page.locator("#score .phrased-fall title"))
                .hasText("full stop: falls by 4.0 st. Press to make it a mark of your own.");
        assertThat(page.locator("#phrasing-legend span:visible")).hasText(new String[] {"rises", "falls"});
        for (int i = 0; i < 9; i++) {
            press("ArrowRight");
        }
        press("ArrowDown");
        assertThat(page.locator(".phrasedlist")).containsText("comma: 0.22 s");
        accessible();
        page.getByLabel("Make a mark of comma: 0.22 s").click();
        assertThat(list()).hasText(new String[] {"after “out”pause 0.22 sRemove"});
        page.locator("#score .phrased-fall").click();
        assertThat(list()).hasCount(3);
        assertThat(page.locator("#score .phrased-fall")).hasCount(0);
        press("Control+z");
        assertThat(list()).hasCount(1);
        assertThat(page.locator("#score .phrased-fall")).hasCount(1);
    }

    @Test
    void suggestionsAreShownTakenAndClearedAndSsmlCanBeCopied() {
        newProject("Suggestions", "The crew have 1 tide to lift it out, and the sling is rated for it.");
        open("Direct");
        assertThat(page.locator("#cuelist a")).hasCount(1);
        page.locator("#score .word").first().focus();
        press("g");
        assertThat(page.locator("#score .lane.ghost").first()).isVisible();
        assertThat(list()).hasCount(1);
        assertThat(list().first()).containsText("figures want a moment to be understood");
        accessible();
        page.getByLabel("Accept pace 90 % of 1").click();
        assertThat(page.locator("#score .lane-pace:not(.ghost)")).hasCount(1);
        press("c");
        assertThat(list()).hasCount(0);
        page.locator("#show-ssml").click();
        assertThat(page.locator("#ssml-text"))
                .hasValue(Pattern.compile("<p score:phrasing=\"100\">The crew have 1 tide"));
        accessible();
        page.locator("#ssml-copy").click();
        assertThat(page.locator(".hint")).hasText("Copied.");
    }
}
