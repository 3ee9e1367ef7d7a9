package org.logophon.app.services.deliveries;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Path;
import java.nio.file.ReadOnlyFileSystemException;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.deliveries.DeliveredFiles.Stored;
import org.logophon.app.services.project.Projects;
import org.logophon.core.delivery.FolderWriter;
import org.logophon.core.delivery.FolderWriter.Written;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.delivery.Slug;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/**
 * Deliveries into folders on this machine, under the one root that the settings name: an editor keeps its files linked.
 */
@Service
public class DeliveryFolder {

    private static final int ID_CHARACTERS = 6;

    private final String root;
    private final Projects projects;
    private final ChoiceRepository choices;
    private final DeliveredFiles files;

    DeliveryFolder(
            @Value("${logophon.delivery-folder}") String root,
            Projects projects,
            ChoiceRepository choices,
            DeliveredFiles files) {
        this.root = root.strip();
        this.projects = projects;
        this.choices = choices;
        this.files = files;
    }

    /** True when the settings name a root. */
    public boolean offered() {
        return !root.isEmpty();
    }

    /** The files that were written, and their folder. */
    public record Done(Path folder, Written written) {}

    /** Into a folder of somebody's choice. */
    public void writeInto(Delivery delivery, Path folder) {
        write(delivery, folder);
    }

    public Done write(Delivery delivery) {
        return write(delivery, folder(delivery.projectId()));
    }

    private Done write(Delivery delivery, Path folder) {
        Manifest manifest = new Manifest(
                1,
                projects.require(delivery.projectId()).name(),
                files.of(delivery.id()).stream().map(Stored::entry).toList());
        try {
            return new Done(folder, new FolderWriter(folder).write(manifest, files::copyTo));
        } catch (IOException | UncheckedIOException | ReadOnlyFileSystemException failed) {
            throw new Refused(sentence(folder, failed));
        }
    }

    /** @return how many files went */
    public int removeLeft(UUID project) {
        Path folder = folder(project);
        try {
            return new FolderWriter(folder).removeLeft();
        } catch (IOException | ReadOnlyFileSystemException failed) {
            throw new Refused(sentence(folder, failed));
        }
    }

    private Path folder(UUID project) {
        if (!offered()) {
            throw new Refused("No folder for deliveries is set. Set LOGOPHON_DELIVERY_FOLDER, and restart Logophon.");
        }
        String wished = Slug.of(projects.require(project).name()) + "-"
                + project.toString().substring(0, ID_CHARACTERS);
        return Path.of(root).resolve(choices.folder(project, wished));
    }

    private static String sentence(Path folder, Exception failed) {
        if (failed instanceof AccessDeniedException || failed instanceof ReadOnlyFileSystemException) {
            return "The folder " + folder + " can't be written to. Give Logophon the right to, and try again.";
        }
        if (failed instanceof FileSystemException) {
            return "The folder " + folder
                    + " can't be written to: the disk is full, or it isn't there. What was there before is whole.";
        }
        return "Writing to " + folder + " stopped: the disk may be full. What was there before is whole.";
    }
}
