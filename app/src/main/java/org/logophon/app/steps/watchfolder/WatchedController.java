package org.logophon.app.steps.watchfolder;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.project.Projects;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The folder whose scripts become clips like a project's. */
@RestController
@RequestMapping("/projects/{id}/watched")
class WatchedController {

    private final WatchedFolders folders;
    private final Projects projects;

    WatchedController(WatchedFolders folders, Projects projects) {
        this.folders = folders;
        this.projects = projects;
    }

    /**
     * @param offered true when the settings name a root
     * @param folder  empty for none
     * @param untold  sentences about scripts beside which nothing can be written
     */
    record Watching(boolean offered, String folder, List<String> untold) {}

    @GetMapping
    Watching state(@PathVariable UUID id) {
        projects.require(id);
        return new Watching(
                folders.offered(), folders.folder(id).map(Object::toString).orElse(""), folders.untold(id));
    }

    @PostMapping
    SentenceAnswer watch(@PathVariable UUID id) {
        return new SentenceAnswer("Scripts put into " + folders.watch(id) + " become clips like this project.");
    }

    @PostMapping("/stop")
    SentenceAnswer stop(@PathVariable UUID id) {
        folders.stop(id);
        return new SentenceAnswer("The folder is no longer watched. Its files stay.");
    }
}
