package org.logophon.app.services.script;

import java.util.UUID;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ScriptParsing;
import org.springframework.stereotype.Component;

/** The reader of a script as pages show it. */
@Component
public class ScriptStateReader {

    private final Projects projects;
    private final ScriptVersions versions;
    private final ScriptParsing scripts;

    ScriptStateReader(Projects projects, ScriptVersions versions, ScriptParsing scripts) {
        this.scripts = scripts;
        this.projects = projects;
        this.versions = versions;
    }

    /**
     * After a change that the page made itself: it has the text, unless somebody else has saved since. A version
     * without its text would let the page take back, with its next save, what that one wrote.
     *
     * @param version that the change made
     */
    public Object after(UUID id, ScriptChangeReport report, int version) {
        ProjectView view = projects.view(id);
        return state(
                view,
                report == ScriptChangeReport.NOTHING ? null : report,
                view.project().scriptVersion() != version);
    }

    /** As it stands. */
    public Object of(UUID id) {
        return state(projects.view(id), null, false);
    }

    /** After a change that was made here. */
    public Object withText(UUID id, ScriptChangeReport report) {
        return state(projects.view(id), report, true);
    }

    private ScriptState state(ProjectView view, ScriptChangeReport report, boolean withText) {
        UUID id = view.id();
        return ScriptState.of(
                view,
                scripts.of(view.project()),
                report,
                withText,
                versions.line(id, view.project().scriptVersion()).orElse(null),
                versions.count(id));
    }
}
