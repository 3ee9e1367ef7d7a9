package org.logophon.app.steps.direct;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.PriceFirst;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.services.page.DirectionForm;
import org.logophon.app.services.page.ProjectPage;
import org.logophon.app.services.page.Step;
import org.logophon.app.services.page.StyleChoice;
import org.logophon.app.services.project.CastService;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.SpeakingRates;
import org.logophon.app.services.project.TakeKeeping;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.Take;
import org.logophon.app.services.rendering.RenderService;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.style.Style;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The Direct step. Each change answers with the stage (score, takes, controls) as it is then. */
@Controller
@RequestMapping("/projects/{id}")
class DirectController {

    private final Projects projects;
    private final ProjectPage page;
    private final DirectionService directing;
    private final TakeKeeping keeping;
    private final CastService casting;
    private final RenderService rendering;
    private final SpeechRepository speeches;
    private final VoiceCatalogue voices;
    private final SpeakingRates rates;

    DirectController(
            Projects projects,
            ProjectPage page,
            DirectionService directing,
            TakeKeeping keeping,
            CastService casting,
            RenderService rendering,
            SpeechRepository speeches,
            VoiceCatalogue voices,
            SpeakingRates rates) {
        this.projects = projects;
        this.page = page;
        this.directing = directing;
        this.keeping = keeping;
        this.casting = casting;
        this.rendering = rendering;
        this.speeches = speeches;
        this.voices = voices;
        this.rates = rates;
    }

    /** English first, as the scripts are; then the other languages by name. */
    private Map<String, List<Voice>> voicesByLanguage() {
        return voices.all().stream()
                .collect(Collectors.groupingBy(
                        Voice::speaks, () -> new TreeMap<>((a, b) -> rank(a).compareTo(rank(b))), Collectors.toList()));
    }

    /** Languages that some voice speaks without a price, by name, with their tags. */
    private Map<String, String> languages() {
        return voices.all().stream()
                .filter(voice -> voice.terms().free())
                .collect(Collectors.toMap(
                        Voice::languageName,
                        voice -> voice.language().split("-")[0],
                        (one, other) -> one,
                        TreeMap::new));
    }

    private static String rank(String language) {
        return (language.startsWith("English") ? "0" : "1") + language;
    }

    @GetMapping("/direct")
    String page(
            @PathVariable UUID id,
            @RequestParam(required = false) UUID cue,
            Model model,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        fill(id, cue, model);
        return htmx == null ? "direct" : "direct :: stage";
    }

    @PostMapping("/cues/{cue}/direction")
    String directCue(
            @PathVariable UUID id, @PathVariable UUID cue, DirectionForm form, @RequestParam int version, Model model) {
        return answer(id, cue, model, () -> directing.directCue(id, cue, form.direction(), version));
    }

    @PostMapping("/cues/{cue}/role/direction")
    String directRole(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam String role,
            DirectionForm form,
            @RequestParam int version,
            Model model) {
        return answer(id, cue, model, () -> casting.direct(id, role, form.direction(), version));
    }

    @PostMapping("/cues/{cue}/project/direction")
    String directProject(
            @PathVariable UUID id, @PathVariable UUID cue, DirectionForm form, @RequestParam int version, Model model) {
        return answer(id, cue, model, () -> directing.directProject(id, said(id, form), version));
    }

    /** What a form doesn't ask about stays as it is. */
    private Direction said(UUID id, DirectionForm form) {
        return form.phrasing() != null
                ? form.direction()
                : form.direction().phrased(projects.require(id).direction().phrasingPercent());
    }

    @PostMapping("/cues/{cue}/render")
    String render(
            @PathVariable UUID id, @PathVariable UUID cue, @RequestParam(defaultValue = "0") int agreed, Model model) {
        return answer(id, cue, model, () -> {
            if (rendering.renderCue(id, cue, agreed) == 0
                    && projects.cue(id, cue).state() == CueState.READY) {
                model.addAttribute("notice", "Nothing has changed: a render would make the kept take again.");
            }
        });
    }

    /** The stage once the cue is rendered; until then nothing (204), and the page asks again. */
    @GetMapping("/cues/{cue}/rendered")
    Object rendered(@PathVariable UUID id, @PathVariable UUID cue, Model model) {
        if (projects.cue(id, cue).state() == CueState.RENDERING) {
            return ResponseEntity.noContent().build();
        }
        fill(id, cue, model);
        return "direct :: stage";
    }

    @PostMapping("/takes/{take}/keep")
    String keep(@PathVariable UUID id, @PathVariable UUID take, Model model) {
        return answer(id, keeping.require(id, take).cueId(), model, () -> keeping.keep(id, take));
    }

    @NeedsNoRoom
    @PostMapping("/takes/{take}/delete")
    String delete(@PathVariable UUID id, @PathVariable UUID take, Model model) {
        return answer(id, keeping.require(id, take).cueId(), model, () -> {
            keeping.setDeleted(id, take, true);
            model.addAttribute("deletedTake", take);
        });
    }

    @PostMapping("/takes/{take}/restore")
    String restore(@PathVariable UUID id, @PathVariable UUID take, Model model) {
        return answer(id, keeping.require(id, take).cueId(), model, () -> keeping.setDeleted(id, take, false));
    }

    @GetMapping("/takes/{take}/score")
    @ResponseBody
    ScoreData score(@PathVariable UUID id, @PathVariable UUID take) {
        Take found = keeping.require(id, take);
        return ScoreData.of(
                speeches.find(found.speech())
                        .orElseThrow(() -> new NotFound("This take’s sound was deleted. Render the cue again.")),
                found.text());
    }

    /** Does a change, and answers with the stage and, when it could not be done, why. */
    private String answer(UUID id, UUID cue, Model model, Runnable change) {
        try {
            change.run();
        } catch (PriceFirst price) {
            model.addAttribute("price", price);
        } catch (Refused | Stale | InvalidInput e) {
            model.addAttribute("problem", e.getMessage());
        }
        fill(id, cue, model);
        return "direct :: stage";
    }

    private void fill(UUID id, UUID cue, Model model) {
        ProjectView view = projects.view(id);
        page.fill(model, view, Step.DIRECT);
        DirectPageModel stage = directing.stage(view, cue);
        model.addAttribute("stage", stage);
        model.addAttribute("ownStyles", Style.offered().stream().map(Style::id).toList());
        model.addAttribute(
                "styles", StyleChoice.of(stage == null ? null : stage.cue().voice()));
        model.addAttribute("unphrased", UnphrasedScript.of(view, rates));
        model.addAttribute("voices", voicesByLanguage());
        model.addAttribute("languages", languages());
    }
}
