package org.logophon.app.services.script;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.platform.web.StorableText;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Role;
import org.logophon.app.services.project.RoleRepository;
import org.logophon.app.services.project.ScriptParsing;
import org.logophon.app.services.project.ScriptShape;
import org.logophon.app.services.script.ScriptVersions.State;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptMerge;
import org.logophon.core.text.script.TextDiff;
import org.logophon.speech.NativeVoices;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Saves a script: its text, its shape, the cues it falls into, and its roles; every saved state stays. */
@Service
public class ScriptSaving {

    private final ProjectRepository projects;
    private final ScriptParsing scripts;
    private final CueReconciler cues;
    private final RoleRepository roles;
    private final ScriptVersions versions;

    ScriptSaving(
            ProjectRepository projects,
            CueReconciler cues,
            RoleRepository roles,
            ScriptVersions versions,
            ScriptParsing scripts) {
        this.scripts = scripts;
        this.projects = projects;
        this.cues = cues;
        this.roles = roles;
        this.versions = versions;
    }

    /**
     * Saves a text over the version that it was made from; cuts made by hand stay at their words. Where somebody else
     * saved meanwhile, and changed other paragraphs, both are brought together.
     *
     * @param what made the change, for the list of versions
     * @throws Stale when both changed the same paragraph: nothing is overwritten
     */
    @Transactional
    public ScriptChangeReport save(UUID id, String text, int version, String what) {
        return save(id, text, version, null, what).report();
    }

    /** @param merged true when the saved text is another one than was sent. @param version that it is now */
    public record Saved(ScriptChangeReport report, boolean merged, int version) {}

    /** @param base from which the text was made, where that isn't what was saved as that version; null where it is */
    @Transactional
    public Saved save(UUID id, String text, int version, String base, String what) {
        Project project = lock(id);
        String sent = storable(text);
        if (sent.equals(project.script())) {
            return new Saved(ScriptChangeReport.NOTHING, false, project.scriptVersion());
        }
        String storable = sent;
        if (version != project.scriptVersion() || base != null) {
            String from = base != null
                    ? storable(base)
                    : versions.find(id, version).map(State::text).orElseThrow(ScriptSaving::overtaken);
            storable = ScriptMerge.of(from, project.script(), sent).orElseThrow(ScriptSaving::overtaken);
            if (storable.equals(project.script())) {
                return new Saved(ScriptChangeReport.NOTHING, true, project.scriptVersion());
            }
        }
        return new Saved(saved(project, storable, what), !storable.equals(sent), project.scriptVersion() + 1);
    }

    private ScriptChangeReport saved(Project project, String storable, String what) {
        HandCuts cuts = project.shape().cuts();
        if (!cuts.isEmpty()) {
            cuts = cuts.moved(TextDiff.of(project.script(), storable)::moved);
        }
        return commit(project, storable, project.shape().with(cuts), what, project.scriptVersion(), null);
    }

    /** Saves another shape of the same text. */
    @Transactional
    public ScriptChangeReport shape(UUID id, ScriptShape shape, int version, String what) {
        Project project = lock(id);
        check(project, version);
        return commit(project, project.script(), shape, what, project.scriptVersion(), null);
    }

    /** Saves another text with its shape: an opened document, a change at several places. */
    @Transactional
    public ScriptChangeReport replace(UUID id, String text, ScriptShape shape, int version, String what) {
        Project project = lock(id);
        check(project, version);
        return commit(project, storable(text), shape, what, project.scriptVersion(), null);
    }

    /**
     * Goes back to the state before the last change, or forward again.
     *
     * @throws Refused with a sentence when there is none
     */
    @Transactional
    public ScriptChangeReport step(UUID id, boolean back, int version) {
        Project project = lock(id);
        check(project, version);
        int now = project.scriptVersion();
        ScriptVersions.VersionEntry line =
                versions.line(id, now).orElseThrow(() -> new Refused("There is nothing to undo here."));
        Integer target = back ? line.back() : line.forward();
        if (target == null) {
            throw new Refused(back ? "There is no earlier state." : "There is nothing to redo.");
        }
        State state = versions.findOrBefore(id, target).orElseThrow(() -> new Refused("That state no longer exists."));
        ScriptShape shape = project.shape().with(state.cuts()).with(state.splitting());
        return commit(
                project,
                state.text(),
                shape,
                back ? "Undo" : "Redo",
                state.back(),
                back ? Integer.valueOf(now) : state.forward());
    }

    /** Makes an earlier state the newest. */
    @Transactional
    public ScriptChangeReport restore(UUID id, int from, int version) {
        Project project = lock(id);
        check(project, version);
        State state = versions.find(id, from).orElseThrow(() -> new NotFound("This version isn't there any more."));
        return commit(
                project,
                state.text(),
                project.shape().with(state.cuts()).with(state.splitting()),
                "Version " + from + " restored",
                project.scriptVersion(),
                null);
    }

    private ScriptChangeReport commit(
            Project project, String text, ScriptShape shape, String what, Integer back, Integer forward) {
        UUID id = project.id();
        int version = project.scriptVersion() + 1;
        if (versions.line(id, project.scriptVersion()).isEmpty()) {
            // the state before the first one that was kept
            versions.add(
                    id,
                    project.scriptVersion(),
                    new State(
                            project.script(),
                            project.shape().cuts(),
                            project.shape().splitting(),
                            null,
                            null),
                    0,
                    "Before");
        }
        Script script = scripts.of(text, shape, project.language());
        if (script.cues().size() > Script.MOST_CUES) {
            throw new Refused(("This script would have %,d cues, and a project holds %,d. Let cues be longer, or make "
                            + "a second project of the rest.")
                    .formatted(script.cues().size(), Script.MOST_CUES));
        }
        projects.saveScript(id, text, shape, version);
        versions.add(
                id,
                version,
                new State(text, shape.cuts(), shape.splitting(), back, forward),
                script.cues().size(),
                what);
        ScriptChangeReport report = cues.bring(project, script, shape);
        addRoles(id, script.roles());
        return report;
    }

    private Project lock(UUID id) {
        return projects.lock(id).orElseThrow(() -> new NotFound("This project was deleted; restore it on the shelf."));
    }

    private static void check(Project project, int version) {
        if (version != project.scriptVersion()) {
            throw overtaken();
        }
    }

    private static Stale overtaken() {
        return new Stale("This script was changed in another window meanwhile. Nothing was overwritten.");
    }

    private static String storable(String text) {
        if (text.length() > Script.MOST_CHARACTERS) {
            throw new Refused(
                    "This script has %,d characters, and a project can hold %,d. Make a second project of the rest."
                            .formatted(text.length(), Script.MOST_CHARACTERS));
        }
        // a line break is one character, as in the page's text area, so that every place is the same on both sides
        return StorableText.of(text).replace("\r\n", "\n").replace('\r', '\n');
    }

    private void addRoles(UUID project, List<String> names) {
        List<Role> known = roles.of(project);
        Set<String> keys = new HashSet<>();
        known.forEach(role -> keys.add(role.name().toLowerCase(Locale.ROOT)));
        int position = known.size();
        for (String name : names) {
            if (keys.add(name.toLowerCase(Locale.ROOT))) {
                // the first role can be heard at once; the others are cast by ear
                roles.add(project, name, position, position == 0 ? NativeVoices.DEFAULT_ID : null);
                position++;
            }
        }
    }
}
