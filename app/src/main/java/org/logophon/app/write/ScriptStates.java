package org.logophon.app.write;

import java.util.UUID;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.script.Script;
import org.springframework.stereotype.Component;

/** Puts together what the page shows of a script. */
@Component
public class ScriptStates {

    private final Projects projects;
    private final ScriptVersions versions;

    ScriptStates(Projects projects, ScriptVersions versions) {
        this.projects = projects;
        this.versions = versions;
    }

    /** After a change that the page made itself: it has the text. */
    Object of(UUID id, ScriptSaving.Saved saved) {
        return state(id, saved.script(), saved.report(), false);
    }

    /** As it stands. */
    Object of(UUID id) {
        return state(id, null, null, false);
    }

    /** After a change that was made here. */
    public Object withText(UUID id, Report report) {
        return state(id, null, report, true);
    }

    private ScriptState state(UUID id, Script parsed, Report report, boolean withText) {
        ProjectView view = projects.view(id);
        return ScriptState.of(view, parsed == null ? ScriptState.parse(view) : parsed, report, withText, versions.line(id, view.project().scriptVersion()).orElse(null), versions.count(id));
    }
}
