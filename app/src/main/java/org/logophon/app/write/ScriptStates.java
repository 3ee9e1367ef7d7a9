package org.logophon.app.write;

import java.util.UUID;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
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
    Object of(UUID id, Report report) {
        return state(id, report, false);
    }

    /** After a change that was made here. */
    public Object withText(UUID id, Report report) {
        return state(id, report, true);
    }

    private ScriptState state(UUID id, Report report, boolean withText) {
        ProjectView view = projects.view(id);
        return ScriptState.of(view, ScriptState.parse(view), report, withText, versions.line(id, view.project().scriptVersion()).orElse(null), versions.count(id));
    }
}
