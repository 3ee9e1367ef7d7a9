package org.logophon.app.steps.cast;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.platform.web.Costly;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.page.DirectionForm;
import org.logophon.app.services.page.ProjectPage;
import org.logophon.app.services.page.Step;
import org.logophon.app.services.page.StyleChoice;
import org.logophon.app.services.project.CastService;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.Role;
import org.logophon.app.services.voices.MoreVoices;
import org.logophon.app.services.voices.VoiceMeasuring;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.speech.own.OwnEnginesFile;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The Cast step: the page, trying voices, and giving them to roles. */
@Controller
@RequestMapping("/projects/{id}")
class CastController {

    private final Projects projects;
    private final ProjectPage page;
    private final CastService casting;
    private final Catalogue catalogue;
    private final Auditions auditions;
    private final VoiceCatalogue voices;
    private final VoiceMeasuring measuring;
    private final CastPreviews previews;
    private final OwnEnginesFile engines;
    private final MoreVoices more;

    CastController(
            Projects projects,
            ProjectPage page,
            CastService casting,
            Catalogue catalogue,
            Auditions auditions,
            VoiceCatalogue voices,
            VoiceMeasuring measuring,
            CastPreviews previews,
            OwnEnginesFile engines,
            MoreVoices more) {
        this.projects = projects;
        this.page = page;
        this.casting = casting;
        this.catalogue = catalogue;
        this.auditions = auditions;
        this.voices = voices;
        this.measuring = measuring;
        this.previews = previews;
        this.engines = engines;
        this.more = more;
    }

    /** A role as the page lists it. */
    record RoleLine(Role role, int cues, int words, String voice) {}

    /**
     * @param language null when the address says nothing: then the language of the script; empty for any
     * @param shown    how many voices the page shows already
     */
    @GetMapping("/cast")
    String page(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String role,
            @RequestParam(required = false) String language,
            @RequestParam(defaultValue = "0") int shown,
            VoiceFilter filter,
            Model model,
            @RequestHeader(name = "HX-Request", required = false) String htmx) {
        fill(id, role, language == null ? null : filter, shown, model);
        return htmx == null ? "cast" : "cast :: stage";
    }

    /**
     * More of the voices that match.
     *
     * @param from how many are shown
     * @param upTo a voice that shall be among them; empty for the next few
     */
    @GetMapping("/cast/rows")
    String rows(
            @PathVariable UUID id,
            @RequestParam String role,
            @RequestParam int from,
            @RequestParam(defaultValue = "") String upTo,
            VoiceFilter filter,
            Model model) {
        model.addAttribute("project", projects.require(id));
        model.addAttribute("role", new RoleLine(casting.require(id, role), 0, 0, null));
        model.addAttribute("shown", VoiceRows.of(catalogue.find(filter).rows(), from, 0, upTo));
        return "cast :: rows";
    }

    /** @param agreed characters that may be paid for it: without them one that costs is answered with its price */
    @Costly
    @PostMapping("/cast/audition")
    @ResponseBody
    Auditions.Audition audition(
            @PathVariable UUID id,
            @RequestParam String role,
            @RequestParam String voice,
            @RequestParam(required = false) UUID cue,
            @RequestParam(defaultValue = "") String line,
            @RequestParam(defaultValue = "false") boolean tuned,
            TuningForm form,
            @RequestParam(defaultValue = "0") int agreed) {
        return auditions.audition(id, casting.require(id, role), heard(voice, tuned, form), cue, line, agreed);
    }

    private Voice heard(String voice, boolean tuned, TuningForm form) {
        Voice found = require(voice);
        return tuned ? require(found.baseId()).tuned(found.id(), found.name(), "", form.tuning()) : found;
    }

    @GetMapping("/cast/measured")
    @ResponseBody
    VoiceMeasuring.Progress measured() {
        return measuring.progress();
    }

    @GetMapping("/cast/preview")
    @ResponseBody
    PreviewAnswer preview(@PathVariable UUID id, @RequestParam String role, @RequestParam String voice) {
        CastPreview preview = previews.of(projects.view(id), casting.require(id, role), require(voice));
        return new PreviewAnswer(preview.sentence(), preview.lacks(), preview.changed(), preview.cost());
    }

    private Voice require(String voice) {
        return voices.find(voice).orElseThrow(() -> new NotFound("There is no voice " + voice + "."));
    }

    @PostMapping("/cast")
    @ResponseBody
    SentenceAnswer cast(@PathVariable UUID id, @RequestParam String role, @RequestParam String voice) {
        casting.cast(id, role, voice);
        return new SentenceAnswer(voices.find(voice)
                .map(v -> v.name() + " speaks " + role + " now.")
                .orElse(role + " has no voice now."));
    }

    /** The other voices are a step away: this one is at hand wherever somebody is missing. */
    @PostMapping("/cast/fitting")
    @ResponseBody
    SentenceAnswer castFitting(@PathVariable UUID id, @RequestParam String role) {
        return new SentenceAnswer(casting.castFitting(id, role).name() + " speaks " + role + " now.");
    }

    /** Answers with the page's stage, as the dials expect. */
    @PostMapping("/cast/direction")
    String direct(
            @PathVariable UUID id,
            @RequestParam String role,
            DirectionForm form,
            @RequestParam int version,
            @RequestParam(defaultValue = "0") int shown,
            VoiceFilter filter,
            Model model) {
        try {
            casting.direct(id, role, form.direction(), version);
        } catch (Refused | Stale | InvalidInput e) {
            model.addAttribute("problem", e.getMessage());
        }
        fill(id, role, filter, shown, model);
        return "cast :: stage";
    }

    private void fill(UUID id, String wanted, VoiceFilter filter, int shown, Model model) {
        ProjectView view = projects.view(id);
        page.fill(model, view, Step.CAST);
        List<RoleLine> roles = view.roles().stream()
                .map(role -> line(view, role))
                .filter(line -> line.cues() > 0)
                .toList();
        RoleLine role = roles.stream()
                .filter(line -> line.role().name().equals(wanted))
                .findFirst()
                .orElseGet(() -> roles.stream()
                        .filter(line -> line.voice() == null)
                        .findFirst()
                        .orElse(roles.isEmpty() ? null : roles.get(0)));
        VoiceFilter narrowed = filter != null ? filter : VoiceFilter.ofLanguage(language(view, role));
        Catalogue.SearchResult found = catalogue.find(narrowed);
        model.addAttribute("roles", roles);
        model.addAttribute("role", role);
        model.addAttribute(
                "styles",
                StyleChoice.of(
                        role == null ? null : voices.find(role.role().voiceId()).orElse(null)));
        model.addAttribute("filter", narrowed);
        model.addAttribute("found", found);
        model.addAttribute("orders", VoiceOrder.values());
        model.addAttribute(
                "shown",
                VoiceRows.of(
                        found.rows(),
                        0,
                        shown,
                        role == null ? null : role.role().voiceId()));
        model.addAttribute("map", found.map());
        model.addAttribute(
                "lines",
                role == null ? List.of() : Auditions.offered(view, role.role().name()));
        model.addAttribute("measuring", measuring.progress());
        model.addAttribute("faults", engines.wrong());
        model.addAttribute("offer", more.offer(narrowed.language()).orElse(null));
        model.addAttribute(
                "hiring",
                found.all().stream().anyMatch(row -> !row.voice().terms().free()));
    }

    private static RoleLine line(ProjectView view, Role role) {
        List<CueView> cues = view.cues().stream()
                .filter(cue -> cue.cue().role().equalsIgnoreCase(role.name()))
                .toList();
        return new RoleLine(
                role,
                cues.size(),
                cues.stream().mapToInt(cue -> cue.cue().words()).sum(),
                cues.isEmpty() || cues.get(0).voice() == null
                        ? null
                        : cues.get(0).voice().name());
    }

    /** English name of the language that a role's voice speaks, or else the script's. */
    private String language(ProjectView view, RoleLine role) {
        String tag = role == null || role.role().voiceId() == null
                ? view.project().language()
                : voices.find(role.role().voiceId())
                        .map(Voice::language)
                        .orElse(view.project().language());
        return voices.all().stream()
                .filter(voice -> voice.language().split("-")[0].equals(tag.split("-")[0]))
                .map(Voice::languageName)
                .findFirst()
                .orElse("");
    }
}
