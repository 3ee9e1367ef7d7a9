package org.logophon.app.steps.watchfolder;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.steps.watchfolder.WatchedScriptRepository.Row;
import org.logophon.app.steps.watchfolder.WatchedScriptRepository.State;
import org.logophon.app.steps.watchfolder.WatchedScriptRepository.Watched;
import org.logophon.core.delivery.Slug;
import org.logophon.core.input.InvalidInput;
import org.logophon.documents.WatchedScript;
import org.logophon.documents.WatchedScript.Looks;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** The folders under the root that the settings name, and looking into them. */
@Service
class WatchedFolders {

    private static final Logger LOG = LoggerFactory.getLogger(WatchedFolders.class);
    private static final int ID_CHARACTERS = 6;

    private final String root;
    private final WatchedScriptRepository table;
    private final Projects projects;
    private final WatchedScriptWork work;

    WatchedFolders(
            @Value("${logophon.watch-folder}") String root,
            WatchedScriptRepository table,
            Projects projects,
            WatchedScriptWork work) {
        this.root = root.strip();
        this.table = table;
        this.projects = projects;
        this.work = work;
    }

    /** True when the settings name a root. */
    boolean offered() {
        return !root.isEmpty();
    }

    /** Empty for a project that no folder follows. */
    Optional<Path> folder(UUID project) {
        return table.of(project).map(this::place);
    }

    private Path place(Watched watched) {
        return Path.of(root).resolve(watched.name());
    }

    /** @throws Refused when the settings name no root, or the folder can't be made */
    Path watch(UUID id) {
        Project project = projects.require(id);
        if (!offered()) {
            throw new Refused("No folder to watch is set. Set LOGOPHON_WATCH_FOLDER, and restart Logophon.");
        }
        table.watch(id, Slug.of(project.name()) + "-" + id.toString().substring(0, ID_CHARACTERS));
        Path folder = folder(id).orElseThrow();
        try {
            return Files.createDirectories(folder);
        } catch (IOException failed) {
            throw new Refused("The folder " + folder
                    + " can't be made. Let Logophon write where LOGOPHON_WATCH_FOLDER is, and try again.");
        }
    }

    /** The folder and what is in it stay. */
    void stop(UUID project) {
        table.stop(project);
    }

    /** What could be told beside no script, as sentences. */
    List<String> untold(UUID project) {
        return table.untold(project);
    }

    /** One look into all of them: each script is brought one step on. */
    void look() {
        for (Watched watched : table.folders()) {
            Path folder = place(watched);
            if (!Files.isDirectory(folder)) {
                continue;
            }
            try {
                if (!folder.toRealPath().getParent().equals(Path.of(root).toRealPath())) {
                    LOG.warn("The watched folder {} leads elsewhere, and isn't looked into.", watched.name());
                    continue;
                }
                List<WatchedScript> scripts = WatchedScript.in(folder);
                table.keepOnly(
                        watched.like(),
                        scripts.stream().map(WatchedScript::name).toList());
                scripts.forEach(script -> alone(watched.like(), script));
            } catch (IOException away) {
                LOG.warn("A watched folder can't be looked into: {}", away.getMessage());
            }
        }
    }

    /** Each script stands for itself: what can't be told beside it is told on the page, and the others go on. */
    private void alone(UUID like, WatchedScript script) {
        try {
            look(like, script);
        } catch (NoSuchFileException gone) {
            // somebody took it out in the meantime
        } catch (IOException | InvalidInput inTheWay) {
            table.cannotBeTold(like, script.name(), sentence(script, inTheWay));
        }
    }

    private static String sentence(WatchedScript script, Exception inTheWay) {
        String why = inTheWay instanceof InvalidInput
                ? inTheWay.getMessage()
                : "Logophon can't write beside it. Give it the right to, and save the script again.";
        return script.name() + ": " + why;
    }

    private void look(UUID like, WatchedScript script) throws IOException {
        Looks now = script.looks();
        Row row = table.script(like, script.name()).orElse(null);
        if (now == null) {
            return;
        }
        if (row == null || !row.looks().equals(now)) {
            // it may still be being written: it is taken when it looks the same twice
            table.save(like, new Row(script.name(), now, row == null ? null : row.project(), State.SEEN));
        } else if (row.state() != State.ENDED) {
            table.save(like, work.step(like, script, row));
        }
    }
}
