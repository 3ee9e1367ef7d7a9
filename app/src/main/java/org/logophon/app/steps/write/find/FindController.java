package org.logophon.app.steps.write.find;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.app.services.project.ReadingRepository.StoredReading;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.app.services.script.ScriptStateReader;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.script.Find;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Find and replace over the script and the project's readings. */
@Controller
@RequestMapping("/projects/{id}/find")
class FindController {

    private static final int MOST_SHOWN = 200;
    private static final int AROUND = 24;
    private static final int MOST_FOUND = 200;

    private final Projects projects;
    private final ReadingRepository readings;
    private final ScriptSaving saving;
    private final ScriptStateReader states;
    private final TransactionTemplate transaction;

    FindController(
            Projects projects,
            ReadingRepository readings,
            ScriptSaving saving,
            ScriptStateReader states,
            TransactionTemplate transaction) {
        this.projects = projects;
        this.readings = readings;
        this.saving = saving;
        this.states = states;
        this.transaction = transaction;
    }

    /** A hit with the words around it. @param start in the script, −1 in a reading */
    record MatchRow(int start, int end, String before, String found, String instead, String after) {}

    @GetMapping
    String panel(@PathVariable UUID id, Model model) {
        model.addAttribute("project", projects.require(id));
        return "rail :: find";
    }

    @PostMapping
    String preview(
            @PathVariable UUID id,
            @RequestParam String what,
            @RequestParam(defaultValue = "") String with,
            @RequestParam(defaultValue = "false") boolean whole,
            @RequestParam(defaultValue = "false") boolean matchCase,
            @RequestParam(defaultValue = "false") boolean expression,
            @RequestParam(defaultValue = "false") boolean inReadings,
            Model model) {
        Project project = projects.require(id);
        Find find = Find.of(what, whole, matchCase, expression);
        List<MatchRow> rows = new ArrayList<>();
        find.hits(project.script(), with, MOST_SHOWN).forEach(hit -> rows.add(row(project.script(), hit, hit.start())));
        int inScript = find.count(project.script());
        int inList = 0;
        if (inReadings) {
            for (StoredReading kept : own(id)) {
                String line = kept.reading().written() + " → " + kept.reading().said();
                for (Find.Hit hit : find.hits(line, with, MOST_SHOWN)) {
                    inList++;
                    rows.add(row(line, hit, -1));
                }
            }
        }
        model.addAttribute("project", project);
        model.addAttribute("rows", rows);
        model.addAttribute("count", inScript + inList);
        model.addAttribute("more", Math.max(0, inScript - MOST_SHOWN));
        return "rail :: hits";
    }

    private static MatchRow row(String text, Find.Hit hit, int start) {
        int from = Math.max(0, hit.start() - AROUND);
        int to = Math.min(text.length(), hit.end() + AROUND);
        return new MatchRow(
                start,
                hit.end(),
                (from > 0 ? "…" : "") + text.substring(from, hit.start()).replace('\n', ' '),
                hit.end() - hit.start() > MOST_FOUND
                        ? text.substring(hit.start(), hit.start() + MOST_FOUND) + "…"
                        : text.substring(hit.start(), hit.end()),
                hit.instead(),
                text.substring(hit.end(), to).replace('\n', ' ') + (to < text.length() ? "…" : ""));
    }

    /** Replaces every hit, in the script and in the readings, or none of them. */
    @PostMapping("/replace")
    @ResponseBody
    Object replace(
            @PathVariable UUID id,
            @RequestParam String what,
            @RequestParam(defaultValue = "") String with,
            @RequestParam(defaultValue = "false") boolean whole,
            @RequestParam(defaultValue = "false") boolean matchCase,
            @RequestParam(defaultValue = "false") boolean expression,
            @RequestParam(defaultValue = "false") boolean inReadings,
            @RequestParam int version) {
        Find find = Find.of(what, whole, matchCase, expression);
        return transaction.execute(status -> {
            String script = projects.require(id).script();
            boolean changed = inReadings && inReadings(id, find, with);
            String now = find.replace(script, with);
            if (now.equals(script) && !changed) {
                throw new Refused("“" + what + "” wasn't found, so nothing was replaced.");
            }
            return states.withText(id, saving.save(id, now, version, "“" + shortened(what) + "” replaced"));
        });
    }

    private boolean inReadings(UUID id, Find find, String with) {
        boolean changed = false;
        for (StoredReading kept : own(id)) {
            Reading old = kept.reading();
            Reading now = new Reading(
                    find.replace(old.written(), with),
                    find.replace(old.said(), with),
                    old.kind(),
                    old.language(),
                    old.matchCase());
            if (!now.equals(old)) {
                readings.remove(kept.id());
                readings.put(id, now);
                changed = true;
            }
        }
        return changed;
    }

    private List<StoredReading> own(UUID id) {
        return readings.kept(id).stream().filter(kept -> !kept.house()).toList();
    }

    private static String shortened(String what) {
        return what.length() > 30 ? what.substring(0, 28) + "…" : what;
    }
}
