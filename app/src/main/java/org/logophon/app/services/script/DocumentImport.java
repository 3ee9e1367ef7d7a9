package org.logophon.app.services.script;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.MarkRepository;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.Role;
import org.logophon.app.services.project.RoleRepository;
import org.logophon.app.services.project.ScriptShape;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.text.script.FrozenNumbers;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.Slot;
import org.logophon.core.text.script.Splitting;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.documents.OpenedDocument;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The import of opened documents into a project: in place of its script, after it, as scenes, or as projects of their
 * own.
 */
@Service
public class DocumentImport {

    private final Projects projects;
    private final ProjectRepository table;
    private final CueRepository cues;
    private final RoleRepository roles;
    private final MarkRepository marks;
    private final VoiceCatalogue voices;
    private final ScriptSaving saving;

    DocumentImport(
            Projects projects,
            ProjectRepository table,
            CueRepository cues,
            RoleRepository roles,
            MarkRepository marks,
            VoiceCatalogue voices,
            ScriptSaving saving) {
        this.projects = projects;
        this.table = table;
        this.cues = cues;
        this.roles = roles;
        this.marks = marks;
        this.voices = voices;
        this.saving = saving;
    }

    /** @return what became of the cues */
    @Transactional
    public ScriptChangeReport into(UUID id, List<OpenedDocument> opened, String how, int version) {
        Project project = projects.require(id);
        StringBuilder text = new StringBuilder(
                "replace".equals(how)
                                || "scenes".equals(how) && project.script().isBlank()
                        ? ""
                        : project.script().stripTrailing());
        int before = text.isEmpty() ? 0 : cues.of(id).size();
        List<Slot> slots = new ArrayList<>();
        List<String> numbers = new ArrayList<>();
        List<SsmlCue> directed = new ArrayList<>();
        boolean cueByCue = false;
        for (OpenedDocument document : opened) {
            String heading = opened.size() > 1 || "scenes".equals(how)
                    ? "# " + document.name().replaceAll("\\s+", " ") + "\n\n"
                    : "";
            text.append(text.isEmpty() ? "" : "\n\n")
                    .append(heading)
                    .append(document.script().strip());
            int count = Script.parse(document.script()).cues().size();
            add(slots, document.slots(), count);
            add(numbers, document.numbers(), count);
            add(directed, document.directed(), count);
            cueByCue |= document.cueByCue();
        }
        ScriptShape shape = project.shape();
        if (cueByCue) {
            shape = shape.with(Splitting.DEFAULT);
        }
        if (before == 0) {
            shape = shape.with(HandCuts.NONE);
        }
        Set<String> cast = roles.of(id).stream().map(Role::name).collect(Collectors.toSet());
        ScriptChangeReport report = saving.replace(
                id,
                text.append('\n').toString(),
                shape,
                version,
                opened.size() == 1 ? opened.get(0).name() + " opened" : opened.size() + " files opened");
        place(projects.require(id), before, slots, numbers, directed);
        cast(id, before, directed, cast);
        return report;
    }

    private static <T> void add(List<T> all, List<T> some, int count) {
        for (int i = 0; i < count; i++) {
            all.add(some.size() == count ? some.get(i) : null);
        }
    }

    /** A document says how much of its phrasing is heard, where it isn't what the project says. */
    private void phrase(Project project, Cue came, SsmlCue cue) {
        Integer percent = cue == null ? null : cue.direction().phrasingPercent();
        if (percent != null && !percent.equals(project.direction().phrasingPercent())) {
            cues.direct(came.id(), came.direction().phrased(percent), came.version());
        }
    }

    /** Slots, numbers and marks belong to the cues that came, in their order. */
    private void place(Project project, int before, List<Slot> slots, List<String> numbers, List<SsmlCue> directed) {
        UUID id = project.id();
        List<Cue> now = cues.of(id);
        if (now.size() != before + slots.size()) {
            return;
        }
        List<Cue> came = now.subList(before, now.size());
        if (slots.stream().anyMatch(slot -> slot != null)) {
            cues.setSlots(came.stream().map(Cue::id).toList(), slots);
        }
        for (int i = 0; i < came.size(); i++) {
            SsmlCue cue = directed.get(i);
            // where the script can't hold the words as they were, marks would stand on others
            if (cue != null
                    && cue.text().equals(came.get(i).text())
                    && !(cue.marks().all().isEmpty() && cue.readings().isEmpty())) {
                marks.save(came.get(i).id(), cue.text(), cue.allMarks());
            }
            phrase(project, came.get(i), cue);
        }
        if (numbers.stream().anyMatch(number -> number != null)) {
            Set<String> used = new HashSet<>(
                    now.subList(0, before).stream().map(Cue::number).toList());
            numbers.stream().filter(n -> n != null).forEach(used::add);
            List<String> all = new ArrayList<>(
                    now.subList(0, before).stream().map(Cue::number).toList());
            all.addAll(numbers);
            if (used.size() == all.stream().filter(n -> n != null).count()) {
                cues.setNumbers(
                        now.stream().map(Cue::id).toList(),
                        new FrozenNumbers(project.shape().numbers(), used).complete(all));
                table.freezeNumbers(id);
            }
        }
    }

    /** Roles that came with the document are cast with the voices that it names. */
    private void cast(UUID id, int before, List<SsmlCue> directed, Set<String> already) {
        List<Cue> now = cues.of(id);
        for (int i = 0; i < directed.size() && now.size() == before + directed.size(); i++) {
            String role = now.get(before + i).role();
            if (directed.get(i) != null && !already.contains(role)) {
                named(directed.get(i).voice()).ifPresent(voice -> roles.cast(id, role, voice.id()));
            }
        }
    }

    /** By its id, else by its name. */
    private Optional<Voice> named(String voice) {
        return voices.find(voice)
                .or(() -> voices.all().stream()
                        .filter(one -> one.name().equalsIgnoreCase(voice))
                        .findFirst());
    }

    /** @return the address of the first */
    @Transactional
    public String asProjects(UUID like, List<OpenedDocument> opened) {
        Project model = projects.require(like);
        if (opened.stream().anyMatch(document -> document.script().length() > Script.MOST_CHARACTERS)) {
            throw new Refused("One of these scripts is over the size of a project. Split it.");
        }
        String first = null;
        for (OpenedDocument document : opened) {
            String name = document.name().strip().isEmpty()
                    ? "Script"
                    : document.name().strip();
            Project made = table.create(
                    model.workspace(),
                    name.substring(0, Math.min(name.length(), Project.LONGEST_NAME)),
                    model.language(),
                    null);
            into(made.id(), List.of(document), "replace", made.scriptVersion());
            first = first == null ? "/projects/" + made.id() + "/write" : first;
        }
        return first;
    }
}
