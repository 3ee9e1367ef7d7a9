package org.logophon.app.write;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.logophon.app.project.Cue;
import org.logophon.app.project.CueRepository;
import org.logophon.app.project.Project;
import org.logophon.app.project.ProjectRepository;
import org.logophon.app.project.Role;
import org.logophon.app.project.RoleRepository;
import org.logophon.app.web.NotFound;
import org.logophon.app.web.Refused;
import org.logophon.app.web.Stale;
import org.logophon.estimate.Syllables;
import org.logophon.script.CueMatch;
import org.logophon.script.CueNumbers;
import org.logophon.script.Script;
import org.logophon.script.ScriptCue;
import org.logophon.script.Words;
import org.logophon.speech.EspeakVoices;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Saves a script: its text, the cues it falls into, matched to those that were there, and its roles. */
@Service
public class ScriptSaving {

    private final ProjectRepository projects;
    private final CueRepository cues;
    private final RoleRepository roles;

    ScriptSaving(ProjectRepository projects, CueRepository cues, RoleRepository roles) {
        this.projects = projects;
        this.cues = cues;
        this.roles = roles;
    }

    /**
     * Saves a text over the version that it was made from.
     *
     * @return the new version
     * @throws Stale when the script is at another version: nothing is overwritten
     */
    @Transactional
    public int save(UUID id, String text, int version) {
        if (text.length() > Project.LONGEST_SCRIPT) {
            throw new Refused("This script has %,d characters, and a project can hold %,d. Make a second project of the rest."
                    .formatted(text.length(), Project.LONGEST_SCRIPT));
        }
        Project project = projects.lock(id).orElseThrow(() -> new NotFound("This project was deleted; restore it on the shelf."));
        // PostgreSQL's text holds no null character; one that stands for it keeps every offset
        // and a line break is one character, as in the page's text area, so that every place is the same on both sides
        String storable = text.replace('\0', '\uFFFD').replace("\r\n", "\n").replace('\r', '\n');
        if (storable.equals(project.script())) {
            return project.scriptVersion();
        }
        if (version != project.scriptVersion()) {
            throw new Stale("This script was changed in another window meanwhile. Nothing was overwritten.");
        }
        projects.saveScript(id, storable, version + 1);
        split(project, Script.parse(storable));
        return version + 1;
    }

    private void split(Project project, Script script) {
        UUID id = project.id();
        List<Cue> before = cues.of(id);
        List<ScriptCue> after = script.cues();
        int[] matched = CueMatch.match(before.stream().map(Cue::text).toList(), after.stream().map(ScriptCue::text).toList());
        Map<String, List<Cue>> gone = new HashMap<>();
        Set<UUID> used = new HashSet<>();
        List<CueRepository.Placed> changed = new ArrayList<>();
        List<CueRepository.Placed> added = new ArrayList<>();
        for (int i = 0; i < matched.length; i++) {
            Cue old = matched[i] >= 0 ? before.get(matched[i]) : null;
            if (old == null) {
                if (gone.isEmpty()) {
                    gone.put(null, List.of());
                    cues.removed(id).forEach(cue -> gone.computeIfAbsent(cue.text(), t -> new ArrayList<>()).add(cue));
                }
                old = back(gone, after.get(i));
            }
            String number = CueNumbers.DEFAULT.at(i);
            UUID cue = old == null ? UUID.randomUUID() : old.id();
            used.add(cue);
            CueRepository.Placed placed = placed(cue, i, number, after.get(i), old, project.language());
            if (old == null) {
                added.add(placed);
            } else if (matched[i] < 0 || !same(old, placed)) {
                changed.add(placed);
            }
        }
        cues.update(changed);
        cues.insert(id, added);
        cues.remove(before.stream().map(Cue::id).filter(cue -> !used.contains(cue)).toList());
        addRoles(id, script.roles());
    }

    /** Words and syllables are counted once for each text: counting is what an edit of a long script would spend its time on. */
    private static CueRepository.Placed placed(UUID id, int position, String number, ScriptCue cue, Cue old, String language) {
        boolean counted = old != null && old.text().equals(cue.text());
        int words = counted ? old.words() : Words.count(cue.text());
        int syllables = counted ? old.syllables() : Syllables.of(cue.text(), language);
        return new CueRepository.Placed(id, position, number, cue, words, syllables);
    }

    /** A cue that left the script and comes back with the same words: pasted again, or an undo. */
    private static Cue back(Map<String, List<Cue>> gone, ScriptCue cue) {
        List<Cue> alike = gone.getOrDefault(cue.text(), List.of());
        return alike.isEmpty() ? null : alike.remove(0);
    }

    private static boolean same(Cue old, CueRepository.Placed placed) {
        return old.position() == placed.position() && old.number().equals(placed.number()) && old.text().equals(placed.cue().text())
                && old.role().equals(placed.cue().role()) && old.scene().equals(placed.cue().scene());
    }

    private void addRoles(UUID project, List<String> names) {
        List<Role> known = roles.of(project);
        Set<String> keys = new HashSet<>();
        known.forEach(role -> keys.add(role.name().toLowerCase(Locale.ROOT)));
        int position = known.size();
        for (String name : names) {
            if (keys.add(name.toLowerCase(Locale.ROOT))) {
                // the first role can be heard at once; the others are cast by ear
                roles.add(project, name, position, position == 0 ? EspeakVoices.DEFAULT_ID : null);
                position++;
            }
        }
    }
}
