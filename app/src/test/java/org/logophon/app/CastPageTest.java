package org.logophon.app;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.SelectOption;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.logophon.app.services.voices.VoiceMeasuring;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.beans.factory.annotation.Autowired;

/** The Cast page, by keyboard and by mouse. */
class CastPageTest extends BrowserTest {

    @Autowired
    private VoiceMeasuring measuring;

    @Autowired
    private VoiceCatalogue voices;

    @BeforeEach
    void measureSome() {
        for (String id : new String[] {"isla", "tamsin", "aldric", "bram", "hamish"}) {
            measuring.measure(voices.find(id).orElseThrow());
        }
    }

    private void casting(String name) {
        String project = newProject(
                name,
                "NARRATOR: The lens came by sea.\n\nKEEPER: Wind north-west, force nine. Lit the lamp at "
                        + "4:52, and wrote it down.");
        page.navigate(address() + project + "/cast?language=English&order=name&shown=400");
        assertThat(page.locator("h1")).hasText("A voice for Keeper");
        // keys are heard from when the page's scripts run
        assertThat(page.locator("html[data-live]")).isAttached();
    }

    /** Twenty voices of many are listed. */
    private void manyVoices(String name) {
        String project = newProject(name, "One line.");
        server.post(project + "/cast", java.util.Map.of("role", "Narrator", "voice", "edwin"));
        page.locator(".path a").nth(1).click();
        assertThat(page.locator("#voices tr[data-voice]")).hasCount(20);
        // others make house voices, and the list is drawn anew for them
        page.waitForFunction("""
                () => {
                  const count = selector => Number(document.querySelector(selector)?.textContent.replace(/\\D/g, ''));
                  return count('.find .pill') > 60 && count('.find .pill') === 20 + count('#voices .more');
                }""");
        assertThat(page.locator("html[data-live]")).isAttached();
    }

    private int count(String of) {
        return Integer.parseInt(page.locator(of).first().textContent().replaceAll("\\D", ""));
    }

    /** Hears a voice on the map that isn't listed yet. @return its id */
    private String hearFar() {
        String far = (String) page.evaluate("""
                () => [...document.querySelectorAll('#map .dot')].map(dot => dot.dataset.voice)
                  .find(voice => !document.querySelector(`tr[data-voice="${voice}"]`))""");
        page.locator("#map .dot[data-voice='" + far + "']").focus();
        page.keyboard().press("Enter");
        return far;
    }

    @Test
    void theListSendsWhatIsLookedAt() {
        manyVoices("Many voices");
        // the last one on the map is far down in the list: it comes, and can be used by key
        String far = hearFar();
        assertThat(page.locator("#voices tr.now[data-voice='" + far + "']")).isVisible();
        int all = count(".find .pill");
        int shown = page.locator("#voices tr[data-voice]").count();
        page.keyboard().press("l");
        assertThat(page.locator("tr[data-voice='" + far + "'] .shortlist")).hasAttribute("aria-pressed", "true");
        page.keyboard().press("l");
        assertThat(page.locator("tr[data-voice='" + far + "'] .shortlist")).hasAttribute("aria-pressed", "false");
        // where its end is in sight, more come by themselves
        org.assertj.core.api.Assertions.assertThat(
                        page.locator("#voices tr[data-voice]").count())
                .isGreaterThanOrEqualTo(shown);
        if (shown < all) {
            // the stage may be drawn anew meanwhile, since others make house voices
            page.waitForFunction("""
                    shown => {
                      document.querySelector('#voices .more')?.scrollIntoView();
                      return !document.querySelector('#voices .more')
                        || document.querySelectorAll('#voices tr[data-voice]').length > shown;
                    }""", shown);
        }
        accessible();
    }

    @Test
    void voicesAskedForComeThoughTheStageIsDrawnAnewMeanwhile() {
        manyVoices("Drawn anew");
        List<Route> asked = new CopyOnWriteArrayList<>();
        page.route(Pattern.compile("/cast/rows"), asked::add);
        String far = hearFar();
        page.waitForCondition(() -> !asked.isEmpty());
        page.evaluate("""
                () => {
                  document.getElementById('stage').dataset.before = 'true';
                  document.dispatchEvent(new CustomEvent('logophon:changed', { detail: { kinds: ['house'] } }));
                }""");
        assertThat(page.locator("#stage[data-before]")).hasCount(0);
        page.unroute(Pattern.compile("/cast/rows"));
        asked.forEach(Route::resume);
        assertThat(page.locator("#voices tr.now[data-voice='" + far + "']")).isVisible();
    }

    @Test
    void aVoiceIsFoundHeardComparedAndCastByKeyboardAlone() {
        casting("By keys");
        accessible();
        page.locator("#by-accent").focus();
        page.locator("#by-accent").selectOption(new SelectOption().setValue("Great Britain"));
        assertThat(page).hasURL(Pattern.compile(".*accent=Great%20Britain.*"));
        page.locator("#by-sounds").selectOption("man");
        assertThat(page).hasURL(Pattern.compile(".*sounds=man.*"));
        // house voices come before all others, and other tests make some
        assertThat(page.locator("#voices tr[data-voice]:not([data-house])").first())
                .hasAttribute("data-voice", "aldric");
        // it says the keeper's line
        page.locator("tr[data-voice=aldric] .play").focus();
        page.keyboard().press(" ");
        assertThat(page.locator("#voices tr.now")).hasAttribute("data-voice", "aldric");
        page.keyboard().press("c");
        assertThat(page.locator(".candidate")).hasCount(1);
        page.keyboard().press("ArrowDown");
        assertThat(page.locator("#voices tr.now")).hasAttribute("data-voice", "bram");
        page.keyboard().press("c");
        assertThat(page.locator(".candidate")).hasCount(2);
        page.keyboard().press("1");
        assertThat(page.locator(".candidate.now b")).hasText("Aldric");
        page.waitForFunction("() => Number(document.querySelector('.candidate.now svg line').getAttribute('x1')) > 60");
        page.keyboard().press("2");
        assertThat(page.locator(".candidate.now b")).hasText("Bram");
        // the other voice went on in the middle, not from the start
        double at = Double.parseDouble(page.locator(".candidate.now svg line").getAttribute("x1"));
        org.assertj.core.api.Assertions.assertThat(at).isGreaterThan(30);
        accessible();
        page.keyboard().press("l");
        assertThat(page.locator("tr[data-voice=bram] .shortlist")).hasAttribute("aria-pressed", "true");
        page.keyboard().press("l");
        assertThat(page.locator("tr[data-voice=bram] .shortlist")).hasAttribute("aria-pressed", "false");
        page.locator("tr[data-voice=bram] .play").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator(".roles a[aria-current]")).containsText("Bram");
        assertThat(page.locator("#head")).containsText("2 roles");
    }

    @Test
    void theMapIsWanderedByArrowsAndClicked() {
        casting("Map");
        page.locator(".dot[data-voice=isla]").click();
        assertThat(page.locator("#voices tr.now")).hasAttribute("data-voice", "isla");
        assertThat(page.locator("#mapnames")).containsText("Isla");
        page.keyboard().press("ArrowLeft");
        assertThat(page.locator(".dot:focus"))
                .hasAttribute("aria-label", Pattern.compile("(Aldric|Bram|Hamish|Marnie).*man.*Hz.*wpm"));
    }

    @Test
    void namesCanBeHiddenAndOwnWordsTyped() {
        casting("Fair");
        page.locator("#line").selectOption("");
        page.locator("#own").fill("\"Quite other,\" she said, \"words.\"");
        page.locator("#own").press("Enter");
        assertThat(page.locator("#said")).hasText("“‘Quite other,’ she said, ‘words.’”");
        page.locator("tr[data-voice=aldric] .compare").click();
        page.locator("tr[data-voice=bram] .compare").click();
        assertThat(page.locator(".candidate")).hasCount(2);
        page.locator("#hide-names").check();
        assertThat(page.locator(".candidate b")).hasText(new String[] {"Voice A", "Voice B"});
        assertThat(page.locator("#candidates")).not().containsText("Aldric");
        page.locator("#hide-names").uncheck();
        assertThat(page.locator("#candidates")).containsText("Aldric");
        page.locator(".candidate", new com.microsoft.playwright.Page.LocatorOptions().setHasText("Aldric"))
                .getByText("Cast")
                .click();
        assertThat(page.locator(".roles a[aria-current]")).containsText("Aldric");
    }

    @Test
    void aRoleWithoutAVoiceIsOfferedOneWhereverItIsNamed() {
        String project = newProject("Fitting", "NARRATOR: The lens came by sea.\n\nGRANDMOTHER: We never saw it lit.");
        assertThat(page.locator("#findings")).containsText("Grandmother has no voice yet");
        page.locator("#findings [data-fitting=Grandmother]").click();
        assertThat(page.locator(".transport .hint")).hasText("Agnes speaks Grandmother now.");
        assertThat(page.locator("#findings")).not().containsText("has no voice yet");
        // and where it is cast
        server.post(project + "/cast", java.util.Map.of("role", "Grandmother", "voice", ""));
        page.navigate(address() + project + "/cast?role=Grandmother");
        page.locator(".find [data-fitting=Grandmother]").click();
        assertThat(page.locator(".roles a[aria-current]")).containsText("Agnes");
        server.post(project + "/cast", java.util.Map.of("role", "Grandmother", "voice", ""));
        page.navigate(address() + project + "/direct");
        page.locator("#cuelist a").nth(1).click();
        page.locator(".panel [data-fitting=Grandmother]").click();
        assertThat(page.locator(".centre .pill.sea")).hasText("Grandmother · Agnes");
        accessible();
    }

    @Test
    void aDialThatIsTurnedWhileTheOneBeforeIsSavedIsKept() {
        casting("Two dials");
        page.locator("#roledials summary").click();
        AtomicReference<Route> first = new AtomicReference<>();
        page.route("**/cast/direction", route -> {
            if (!first.compareAndSet(null, route)) {
                route.resume();
            }
        });
        page.locator("#role-pace").fill("85");
        page.locator("#role-pace").press("Enter");
        page.waitForCondition(() -> first.get() != null);
        page.locator("#role-effect").selectOption("hall");
        page.locator("#role-pitch").focus();
        page.keyboard().type("-2");
        page.waitForResponse("**/cast/direction", () -> first.get().resume());
        assertThat(page.locator("#role-pitch")).isFocused();
        assertThat(page.locator("#role-pitch")).hasValue("-2");
        page.waitForResponse(
                response -> response.url().endsWith("/cast/direction")
                        && response.request().postData().contains("-2"),
                () -> page.keyboard().press("Tab"));
        page.reload();
        page.locator("#roledials summary").click();
        assertThat(page.locator("#role-pace")).hasValue("85");
        assertThat(page.locator("#role-effect")).hasValue("hall");
        assertThat(page.locator("#role-pitch")).hasValue("-2.0");
    }

    /** The list that is asked for after a note finds that another answer has taken the page's place. */
    @Test
    void aNoteIsShownThoughADialsAnswerCameBetween() {
        casting("Between");
        page.locator("#roledials summary").click();
        AtomicReference<Route> dial = new AtomicReference<>();
        page.route("**/cast/direction", dial::set);
        page.locator("#role-effect").selectOption("hall");
        page.waitForCondition(() -> dial.get() != null);
        AtomicReference<Route> list = new AtomicReference<>();
        Predicate<String> lists = url -> url.contains("/cast?");
        page.route(lists, list::set);
        page.locator("tr[data-voice=tamsin] .note").click();
        page.locator("#note-text").fill("for the storm");
        page.locator("#note-keep").click();
        page.waitForCondition(() -> list.get() != null);
        page.locator("#stage").evaluate("stage => { stage.dataset.before = true; }");
        dial.get().resume();
        assertThat(page.locator("#stage[data-before]")).hasCount(0);
        page.unroute(lists);
        list.get().resume();
        assertThat(page.locator("tr[data-voice=tamsin]")).containsText("“for the storm”");
    }

    @Test
    void aRoleIsDirectedHereAndItsNoteKept() {
        casting("Directed");
        page.locator("#roledials summary").click();
        page.locator("#role-pace").fill("85");
        page.locator("#role-pace").press("Enter");
        assertThat(page.locator("#role-pace")).hasValue("85");
        page.locator("#role-effect").selectOption("hall");
        assertThat(page.locator("#role-effect")).hasValue("hall");
        accessible();
        page.locator("tr[data-voice=tamsin] .note").click();
        page.locator("#note-text").fill("for the visitor");
        page.locator("#note-stars").selectOption("3");
        page.locator("#note-keep").click();
        assertThat(page.locator("tr[data-voice=tamsin]")).containsText("“for the visitor”");
        assertThat(page.locator("tr[data-voice=tamsin]")).containsText("★★★");
    }

    @Test
    void aHouseVoiceIsMadeOfADescriptionByKeyboard() {
        casting("Described");
        page.locator("#describe").focus();
        page.keyboard().press("Enter");
        page.keyboard().type("a deep slow man from Scotland");
        page.keyboard().press("Enter");
        assertThat(page.locator("#proposals .candidate")).hasCount(1);
        accessible();
        page.getByLabel("Save Hamish as adjusted, as a house voice").focus();
        page.keyboard().press("Enter");
        assertThat(page.locator("#tune-name")).isFocused();
        page.keyboard().type("Keeper of keys");
        page.locator("#tune-pitch").fill("-6");
        page.locator("#tune-pitch").press("Tab");
        assertThat(page.locator("#tune-flags")).containsText("More than 4 semitones");
        accessible();
        page.locator("#tune-keep").press("Enter");
        assertThat(page.locator("#tuning")).isHidden();
        assertThat(page.locator("#voices tbody")).containsText("Keeper of keys");
        page.locator("#search").fill("keeper of keys");
        assertThat(page.locator("#voices tbody tr")).hasCount(1);
        assertThat(page.locator("#voices tbody")).containsText("house voice, of Hamish");
        page.locator("#voices .play").first().focus();
        page.keyboard().press("h");
        assertThat(page.locator("#tune-pitch")).hasValue("-6");
        page.locator("#tune-remove").press("Enter");
        assertThat(page.locator("#voices tbody tr")).hasCount(0);
    }
}
