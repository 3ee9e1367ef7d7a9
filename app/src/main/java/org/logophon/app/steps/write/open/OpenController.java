package org.logophon.app.steps.write.open;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.AddressAnswer;
import org.logophon.app.platform.web.Costly;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.script.DocumentImport;
import org.logophon.app.services.script.ScriptStateReader;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.Splitting;
import org.logophon.documents.DocumentUnusable;
import org.logophon.documents.OpenedDocument;
import org.logophon.documents.worker.DocumentOpener;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/**
 * Opens documents: first shows what they would become, then takes them. The page sends the files both times; nothing is
 * kept in between.
 */
@RestController
@RequestMapping("/projects/{id}/open")
class OpenController {

    private static final int MOST_FILES = 100;
    private static final int SHOWN_CHARACTERS = 1_500;

    private final Projects projects;
    private final DocumentImport opening;
    private final ScriptStateReader states;

    OpenController(Projects projects, DocumentImport opening, ScriptStateReader states) {
        this.projects = projects;
        this.opening = opening;
        this.states = states;
    }

    /** What a file would become. @param problem why it can't be opened; null when it can */
    record DocumentPreview(
            String name,
            String format,
            String problem,
            int cues,
            int words,
            List<String> roles,
            boolean slots,
            boolean numbers,
            int marks,
            List<String> skipped,
            List<OpenedDocument.Column> columns,
            String start) {}

    @Costly
    @PostMapping("/preview")
    List<DocumentPreview> preview(
            @PathVariable UUID id, @RequestParam List<MultipartFile> files, @RequestParam Map<String, String> form)
            throws IOException {
        projects.require(id);
        check(files);
        List<DocumentPreview> shown = new ArrayList<>();
        for (MultipartFile file : files) {
            try {
                shown.add(shown(
                        file.getOriginalFilename(), DocumentOpener.open(name(file), file.getBytes(), columns(form))));
            } catch (DocumentUnusable unusable) {
                shown.add(new DocumentPreview(
                        name(file),
                        "",
                        unusable.getMessage(),
                        0,
                        0,
                        List.of(),
                        false,
                        false,
                        0,
                        List.of(),
                        List.of(),
                        ""));
            }
        }
        return shown;
    }

    private static DocumentPreview shown(String name, OpenedDocument opened) {
        Script script = Script.parse(opened.script(), Splitting.DEFAULT, HandCuts.NONE, "en-GB");
        int words = opened.script().strip().split("\\s+").length;
        String start = opened.script().length() > SHOWN_CHARACTERS
                ? opened.script().substring(0, SHOWN_CHARACTERS) + "…"
                : opened.script();
        return new DocumentPreview(
                name,
                opened.format(),
                null,
                script.cues().size(),
                words,
                script.roles(),
                !opened.slots().isEmpty(),
                !opened.numbers().isEmpty(),
                opened.directed().stream()
                        .mapToInt(cue -> cue.allMarks().all().size())
                        .sum(),
                skipped(opened),
                opened.columns(),
                start);
    }

    /**
     * Named places of SSML tell their times to those who narrate on the command line; a project has no place for them.
     */
    private static List<String> skipped(OpenedDocument opened) {
        int places =
                opened.directed().stream().mapToInt(cue -> cue.places().size()).sum();
        List<String> skipped = new ArrayList<>(opened.skipped());
        if (places > 0) {
            skipped.add(places + (places == 1 ? " <mark> was" : " <mark>s were") + " left out; the words stay.");
        }
        return skipped;
    }

    /**
     * @param how replace, add, scenes (each file a scene of this project) or projects (each file a project of its own)
     */
    @PostMapping
    Object open(
            @PathVariable UUID id,
            @RequestParam List<MultipartFile> files,
            @RequestParam String how,
            @RequestParam int version,
            @RequestParam Map<String, String> form)
            throws IOException {
        check(files);
        List<OpenedDocument> opened = new ArrayList<>();
        for (MultipartFile file : files) {
            try {
                opened.add(DocumentOpener.open(name(file), file.getBytes(), columns(form)));
            } catch (DocumentUnusable unusable) {
                throw new Refused(
                        unusable.getMessage() + (files.size() > 1 ? " Nothing was opened; leave that file out." : ""));
            }
        }
        if ("projects".equals(how)) {
            return new AddressAnswer(opening.asProjects(id, opened));
        }
        return states.withText(id, opening.into(id, opened, how, version));
    }

    private static void check(List<MultipartFile> files) {
        if (files.isEmpty() || files.size() > MOST_FILES) {
            throw new Refused("Choose 1 to " + MOST_FILES + " files at once.");
        }
    }

    /** The file's own name, without any folders that a browser or a forger may have sent. */
    static String name(MultipartFile file) {
        String name = file.getOriginalFilename() == null
                ? ""
                : file.getOriginalFilename().replaceAll("^.*[/\\\\]", "").replaceAll("\\p{Cntrl}", "");
        return name.isBlank() ? "script.txt" : name.substring(Math.max(0, name.length() - 120));
    }

    private static Map<String, Integer> columns(Map<String, String> form) {
        Map<String, Integer> columns = new LinkedHashMap<>();
        for (String field : List.of("text", "role", "number", "in", "out")) {
            String column = form.getOrDefault("column-" + field, "");
            if (column.matches("\\d{1,3}")) {
                columns.put(field, Integer.valueOf(column));
            }
        }
        return columns;
    }
}
