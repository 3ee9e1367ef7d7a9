package org.logophon.app.steps.language;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.AddressAnswer;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.platform.web.StorableText;
import org.logophon.app.services.page.Durations;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectVersions;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.core.review.translation.GlossaryTerm;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The languages of a project, and the terms that hold in them. */
@Controller
@RequestMapping("/projects/{id}/languages")
class LanguagesController {

    private static final int MOST_TERMS = 1_000;

    private final Projects projects;
    private final ProjectVersions links;
    private final Versions versions;
    private final VersionTable table;
    private final GlossaryRepository glossary;

    LanguagesController(
            Projects projects,
            ProjectVersions links,
            Versions versions,
            VersionTable table,
            GlossaryRepository glossary) {
        this.projects = projects;
        this.links = links;
        this.versions = versions;
        this.table = table;
        this.glossary = glossary;
    }

    /** @param state for people @param amber true where something is to be done */
    public record LanguageLine(UUID id, String name, String language, String runs, String state, boolean amber) {}

    @GetMapping
    String page(@PathVariable UUID id, Model model) {
        Project project = projects.require(id);
        if (project.versionOf() != null) {
            return "redirect:/projects/" + id + "/translation";
        }
        ProjectView first = projects.view(project);
        model.addAttribute("project", project);
        model.addAttribute("language", Versions.named(project.language()));
        model.addAttribute("runs", Durations.clock(first.seconds()));
        model.addAttribute(
                "versions",
                links.of(id).stream().map(version -> line(version, first)).toList());
        Map<String, String> offered = new TreeMap<>();
        versions.offered(project).forEach((tag, name) -> offered.put(name, tag));
        model.addAttribute("offered", offered);
        fillGlossary(id, model);
        return "languages";
    }

    private LanguageLine line(UUID id, ProjectView first) {
        Versions.Pair pair = versions.pair(id);
        ProjectView version = projects.view(pair.version());
        List<VersionRow> rows = table.rows(pair, version, first);
        long open = count(rows, VersionRow.State.TO_TRANSLATE);
        long look = count(rows, VersionRow.State.TO_LOOK_AT);
        long findings = rows.stream().filter(row -> !row.findings().isEmpty()).count();
        long over = rows.stream().filter(row -> row.over() > 0).count();
        StringBuilder state = new StringBuilder();
        say(state, open, "to translate");
        say(state, look, "to check");
        say(state, findings, findings == 1 ? "with a finding" : "with findings");
        say(state, over, over == 1 ? "runs over its slot" : "run over their slots");
        return new LanguageLine(
                id,
                version.project().name(),
                Versions.named(pair.version().language()),
                Durations.clock(version.seconds()),
                state.isEmpty() ? "all " + rows.size() + " cues translated" : state.toString(),
                !state.isEmpty());
    }

    private static void say(StringBuilder state, long count, String what) {
        if (count > 0) {
            state.append(state.isEmpty() ? "" : " · ").append(count).append(' ').append(what);
        }
    }

    private static long count(List<VersionRow> rows, VersionRow.State state) {
        return rows.stream().filter(row -> row.state() == state).count();
    }

    private void fillGlossary(UUID id, Model model) {
        model.addAttribute("terms", glossary.of(id));
        Map<String, String> spoken = new TreeMap<>();
        links.of(id).forEach(version -> {
            String tag = projects.require(version).language();
            spoken.put(Versions.named(tag), tag);
        });
        model.addAttribute("spoken", spoken);
    }

    @DoneOnce
    @PostMapping
    @ResponseBody
    AddressAnswer make(@PathVariable UUID id, @RequestParam String language) {
        return new AddressAnswer("/projects/" + versions.make(id, language) + "/translation");
    }

    /** @param said empty where it stays as it is @param language empty for all */
    @PostMapping("/glossary")
    String put(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String written,
            @RequestParam(defaultValue = "") String said,
            @RequestParam(defaultValue = "") String language,
            Model model) {
        String term = checked(written);
        if (term.isEmpty()) {
            throw new Refused("A term needs words. Type them as in the original.");
        }
        if (!language.isEmpty()
                && links.of(id).stream()
                        .noneMatch(
                                version -> projects.require(version).language().equals(language))) {
            throw new Refused("There is no version in that language.");
        }
        if (glossary.of(id).size() >= MOST_TERMS) {
            throw new Refused("A glossary has %,d terms at most.".formatted(MOST_TERMS));
        }
        String as = checked(said);
        glossary.put(id, new GlossaryTerm(term, as.isEmpty() ? term : as, language));
        return glossary(id, model);
    }

    private static String checked(String words) {
        String term = StorableText.of(words).strip().replaceAll("\\s+", " ");
        if (term.length() > FieldLimits.GLOSSARY_TERM) {
            throw new Refused("A term has " + FieldLimits.GLOSSARY_TERM + " characters at most.");
        }
        return term;
    }

    @PostMapping("/glossary/{term}/remove")
    String remove(@PathVariable UUID id, @PathVariable UUID term, Model model) {
        glossary.remove(id, term);
        return glossary(id, model);
    }

    private String glossary(UUID id, Model model) {
        model.addAttribute("project", projects.require(id));
        fillGlossary(id, model);
        return "languages :: glossary";
    }
}
