package org.logophon.app.steps.watchfolder;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.PriceFirst;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.services.deliveries.Delivery;
import org.logophon.app.services.deliveries.DeliveryFolder;
import org.logophon.app.services.deliveries.DeliveryService;
import org.logophon.app.services.deliveries.ReadyDeliveries;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectCopy;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.rendering.RenderService;
import org.logophon.app.services.script.DocumentImport;
import org.logophon.app.steps.watchfolder.WatchedScriptRepository.Row;
import org.logophon.app.steps.watchfolder.WatchedScriptRepository.State;
import org.logophon.core.input.InvalidInput;
import org.logophon.documents.DocumentUnusable;
import org.logophon.documents.Documents;
import org.logophon.documents.OpenedDocument;
import org.logophon.documents.WatchedScript;
import org.logophon.documents.worker.DocumentOpener;
import org.springframework.stereotype.Component;

/**
 * Brings a script that was put into a folder one step on: to a project like the one that was chosen, rendered, and
 * delivered into a folder beside it. How far it is, is in the database: another server goes on where one was killed.
 */
@Component
class WatchedScriptWork {

    private static final int MOST_TOLD = 10;

    private final Projects projects;
    private final ProjectRepository table;
    private final ProjectCopy copies;
    private final DocumentImport documents;
    private final RenderService rendering;
    private final DeliveryService delivering;
    private final ReadyDeliveries deliveries;
    private final DeliveryFolder writing;

    WatchedScriptWork(
            Projects projects,
            ProjectRepository table,
            ProjectCopy copies,
            DocumentImport documents,
            RenderService rendering,
            DeliveryService delivering,
            ReadyDeliveries deliveries,
            DeliveryFolder writing) {
        this.projects = projects;
        this.table = table;
        this.copies = copies;
        this.documents = documents;
        this.rendering = rendering;
        this.delivering = delivering;
        this.deliveries = deliveries;
        this.writing = writing;
    }

    /**
     * @param like project whose settings hold
     * @return the script as it is now
     * @throws InvalidInput with a sentence when nothing can be told beside it
     */
    Row step(UUID like, WatchedScript script, Row row) throws IOException {
        try {
            return switch (row.state()) {
                case SEEN -> taken(like, script, row);
                case RENDERING -> rendered(like, script, row);
                case DELIVERING -> delivered(script, row);
                case ENDED -> row;
            };
        } catch (Refused | InvalidInput | NotFound | PriceFirst | Stale | DocumentUnusable forPeople) {
            return ended(script, row, false, forPeople.getMessage());
        }
    }

    private Row taken(UUID like, WatchedScript script, Row row) throws IOException {
        // looked at before it is read: nothing is held that is no script
        if (row.looks().bytes() > Documents.MOST_BYTES) {
            throw new Refused(script.name() + " is over " + (Documents.MOST_BYTES >> 20)
                    + " MB. Remove the pictures, or save it as text.");
        }
        OpenedDocument opened = DocumentOpener.open(script.name(), script.read(), Map.of());
        UUID project = row.project();
        if (project == null || table.find(project).isEmpty()) {
            project = copies.like(
                    like, script.base().substring(0, Math.min(script.base().length(), Project.LONGEST_NAME)));
        }
        documents.into(
                project, List.of(opened), "replace", projects.require(project).scriptVersion());
        rendering.renderChanged(project, 0);
        return new Row(row.name(), row.looks(), project, State.RENDERING);
    }

    private Row rendered(UUID like, WatchedScript script, Row row) throws IOException {
        ProjectView view = projects.view(row.project());
        if (view.count(CueState.RENDERING) > 0) {
            return row;
        }
        List<String> problems = view.cues().stream()
                .filter(cue -> cue.state() != CueState.READY)
                .map(WatchedScriptWork::problem)
                .limit(MOST_TOLD)
                .toList();
        if (!problems.isEmpty()) {
            return ended(script, row, false, String.join("\n", problems));
        }
        if (!delivering.building(row.project())) {
            delivering.buildLike(row.project(), like);
        }
        return row.in(State.DELIVERING);
    }

    private static String problem(CueView cue) {
        return "Cue " + cue.number() + ": " + (cue.problem() == null ? "it was not rendered." : cue.problem());
    }

    private Row delivered(WatchedScript script, Row row) throws IOException {
        if (delivering.building(row.project())) {
            return row;
        }
        Delivery delivery = deliveries
                .newest(row.project())
                .orElseThrow(
                        () -> new Refused("The delivery could not be built. The project's page Deliver says why."));
        Path clips = script.clips();
        writing.writeInto(delivery, clips);
        return ended(
                script,
                row,
                true,
                "The clips are in " + clips.getFileName() + ": delivery " + delivery.ordinal() + ".");
    }

    private static Row ended(WatchedScript script, Row row, boolean done, String words) throws IOException {
        script.tell(done, (done ? "Done. " : "Not done. ") + words + "\n");
        return row.in(State.ENDED);
    }
}
