package org.logophon.app.steps.language;

import java.io.IOException;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.CsvAnswer;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.project.ProjectVersions;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.core.input.table.SafeCell;
import org.logophon.documents.DocumentUnusable;
import org.logophon.documents.worker.DocumentOpener;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;

/** A version beside the first language: its words, and where they come from. */
@Controller
@RequestMapping("/projects/{id}/translation")
class TranslationController {

    private final Projects projects;
    private final ProjectVersions links;
    private final Versions versions;
    private final VersionCasting casting;
    private final VersionTable table;
    private final AskedTranslation asked;

    TranslationController(
            Projects projects,
            ProjectVersions links,
            Versions versions,
            VersionCasting casting,
            VersionTable table,
            AskedTranslation asked) {
        this.projects = projects;
        this.links = links;
        this.versions = versions;
        this.casting = casting;
        this.table = table;
        this.asked = asked;
    }

    @GetMapping
    String page(@PathVariable UUID id, Model model) {
        fill(id, model);
        return "translation";
    }

    /** The table by itself, for a page that follows it. */
    @GetMapping("/rows")
    String rows(@PathVariable UUID id, Model model) {
        fill(id, model);
        return "translation :: rows";
    }

    private void fill(UUID id, Model model) {
        Versions.Pair pair = versions.pair(id);
        ProjectView version = projects.view(pair.version());
        ProjectView first = projects.view(pair.first());
        List<VersionRow> rows = table.rows(pair, version, first);
        model.addAttribute("project", pair.version());
        model.addAttribute("first", pair.first());
        model.addAttribute("language", Versions.named(pair.version().language()));
        model.addAttribute("firstLanguage", Versions.named(pair.first().language()));
        model.addAttribute("rows", rows);
        model.addAttribute("castings", casting.castings(pair));
        model.addAttribute("service", asked.there());
        model.addAttribute(
                "open",
                rows.stream()
                        .filter(row -> row.state() != VersionRow.State.DONE && row.state() != VersionRow.State.ALONE)
                        .count());
        model.addAttribute("apart", apart(id, rows, first));
    }

    /** What of the structure differs; empty for nothing. */
    private String apart(UUID id, List<VersionRow> rows, ProjectView first) {
        long alone = rows.stream()
                .filter(row -> row.state() == VersionRow.State.ALONE)
                .count();
        long missing = first.cues().size() - (rows.size() - alone);
        int otherwise = links.otherwise(id);
        StringBuilder apart = new StringBuilder();
        if (missing > 0) {
            apart.append(missing == 1 ? "1 cue is missing here" : missing + " cues are missing here");
        }
        if (alone > 0) {
            apart.append(apart.isEmpty() ? "" : "; ").append(alone == 1 ? "1 is only here" : alone + " are only here");
        }
        if (otherwise > 0) {
            apart.append(apart.isEmpty() ? "" : "; ")
                    .append(otherwise == 1 ? "1 has" : otherwise + " have")
                    .append(" another number, slot or position than in the original");
        }
        return apart.isEmpty() ? "" : apart.append('.').toString();
    }

    @PostMapping("/cues/{cue}")
    @ResponseBody
    SentenceAnswer say(
            @PathVariable UUID id, @PathVariable UUID cue, @RequestParam String was, @RequestParam String text) {
        versions.say(id, cue, was, text);
        return new SentenceAnswer("Saved.");
    }

    @PostMapping("/cues/{cue}/seen")
    @ResponseBody
    SentenceAnswer seen(@PathVariable UUID id, @PathVariable UUID cue) {
        versions.seen(id, cue);
        return new SentenceAnswer("It stays as it is.");
    }

    @PostMapping("/bring")
    @ResponseBody
    SentenceAnswer bring(@PathVariable UUID id) {
        return new SentenceAnswer(versions.bringOver(id));
    }

    /** Words out of a document or a table. */
    @PostMapping("/texts")
    @ResponseBody
    SentenceAnswer texts(@PathVariable UUID id, @RequestParam MultipartFile file) throws IOException {
        String name = file.getOriginalFilename() == null ? "The file" : file.getOriginalFilename();
        try {
            Map<UUID, String> texts = BroughtTexts.of(
                    DocumentOpener.open(name, file.getBytes(), Map.of()), table.rows(versions.pair(id)));
            int changed = versions.sayAll(id, texts, name + " imported");
            return new SentenceAnswer((texts.size() == 1 ? "1 cue has" : texts.size() + " cues have") + " words from "
                    + name + "; " + changed + " changed.");
        } catch (DocumentUnusable unusable) {
            throw new Refused(unusable.getMessage());
        }
    }

    /** For who translates elsewhere; it can be brought in again. */
    @GetMapping("/texts.csv")
    ResponseEntity<byte[]> csv(@PathVariable UUID id) {
        return CsvAnswer.of(
                "texts.csv",
                csv -> {
                    for (VersionRow row : table.rows(versions.pair(id))) {
                        csv.printRecord(
                                SafeCell.of(row.number()),
                                SafeCell.of(row.role()),
                                SafeCell.of(row.first()),
                                SafeCell.of(row.text()));
                    }
                },
                "number",
                "role",
                "first",
                "text");
    }

    /** Some of what is lacking, from the service. */
    @PostMapping("/service")
    @ResponseBody
    AskedTranslation.Progress service(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "0") int agreed,
            @RequestParam(required = false) UUID agreement,
            @RequestParam(required = false) List<UUID> skipped) {
        Set<UUID> without = skipped == null ? Set.of() : new HashSet<>(skipped);
        return asked.ask(id, agreed, agreement, without);
    }
}
