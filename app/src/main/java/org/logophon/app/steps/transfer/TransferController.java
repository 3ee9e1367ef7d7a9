package org.logophon.app.steps.transfer;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.logophon.app.platform.disk.DiskRoom;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.platform.web.AddressAnswer;
import org.logophon.app.platform.web.Costly;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.core.delivery.Slug;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** Projects as files. */
@RestController
class TransferController {

    private static final int BLOCK = 1 << 16;
    private static final long LOOKED_AFTER = 16L << 20;

    private final Projects projects;
    private final ProjectFileWriter writer;
    private final ProjectFileReader reader;
    private final DiskRoom room;
    private final Visits visits;

    TransferController(
            Projects projects, ProjectFileWriter writer, ProjectFileReader reader, DiskRoom room, Visits visits) {
        this.projects = projects;
        this.writer = writer;
        this.reader = reader;
        this.room = room;
        this.visits = visits;
    }

    /** Made before it is sent: whoever reads slowly holds no connection of the database. */
    @Costly
    @GetMapping("/projects/{id}/file")
    void save(@PathVariable UUID id, HttpServletResponse response) throws IOException {
        Project project = projects.require(id);
        room.need(0);
        Path file = Files.createTempFile("logophon-project", ".zip");
        try {
            try (OutputStream out = Files.newOutputStream(file)) {
                writer.write(project, out);
            }
            response.setContentType("application/zip");
            response.setContentLengthLong(Files.size(file));
            response.setHeader(
                    HttpHeaders.CONTENT_DISPOSITION,
                    ContentDisposition.attachment()
                            .filename(Slug.of(project.name()) + ".project.zip", StandardCharsets.UTF_8)
                            .build()
                            .toString());
            Files.copy(file, response.getOutputStream());
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** The file itself, as it comes. @return the page of the project that it became */
    @Costly
    @DoneOnce
    @PostMapping({"/projects/file", "/workspaces/{workspace}/projects/file"})
    AddressAnswer bring(InputStream sent) throws IOException {
        room.need(0);
        Path file = Files.createTempFile("logophon-project", ".zip");
        try {
            receive(sent, file);
            return new AddressAnswer("/projects/" + reader.read(file, visits.workspace()) + "/write");
        } finally {
            Files.deleteIfExists(file);
        }
    }

    /** Whoever doesn't say how much comes doesn't fill the disk either. */
    private void receive(InputStream sent, Path file) throws IOException {
        byte[] block = new byte[BLOCK];
        long sinceLook = 0;
        try (OutputStream out = Files.newOutputStream(file)) {
            for (int got = sent.read(block); got >= 0; got = sent.read(block)) {
                out.write(block, 0, got);
                sinceLook += got;
                if (sinceLook > LOOKED_AFTER) {
                    room.need(0);
                    sinceLook = 0;
                }
            }
        }
    }
}
