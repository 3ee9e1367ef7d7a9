package org.logophon.app.deliver;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.UUID;
import org.logophon.app.disk.DiskRoom;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.rendering.JobRetry;
import org.logophon.app.web.DatabaseAway;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Does one delivery job. A job that comes again after a kill starts over: nothing counts before the package is stored
 * whole.
 */
@Component
class PackageBuilder {

    private final DeliveryRepository deliveries;
    private final Projects projects;
    private final PackageWriter writer;
    private final DiskRoom room;
    private final TransactionTemplate transaction;

    PackageBuilder(
            DeliveryRepository deliveries,
            Projects projects,
            PackageWriter writer,
            DiskRoom room,
            TransactionTemplate transaction) {
        this.deliveries = deliveries;
        this.projects = projects;
        this.writer = writer;
        this.room = room;
        this.transaction = transaction;
    }

    void run(UUID id) {
        Delivery delivery = deliveries.find(id).orElse(null);
        if (delivery == null || !delivery.building()) {
            return;
        }
        JobRetry.run("Delivery " + id, () -> build(delivery), sentence -> fail(id, sentence));
    }

    void giveUp(UUID id) {
        fail(id, DatabaseAway.SENTENCE);
    }

    private void fail(UUID id, String sentence) {
        deliveries.end(id, "failed", sentence, 0);
    }

    private void build(Delivery delivery) {
        try {
            packed(delivery);
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private void packed(Delivery delivery) throws IOException {
        ProjectView view = projects.view(delivery.projectId());
        Path file = Files.createTempFile("logophon-delivery", ".zip");
        try {
            try (var out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
                boolean whole = writer.write(view, delivery, out, done -> {
                    room.need(0);
                    deliveries.progress(delivery.id(), done);
                    return deliveries
                            .find(delivery.id())
                            .filter(Delivery::building)
                            .isPresent();
                });
                if (!whole) {
                    return;
                }
            }
            room.need(Files.size(file));
            store(delivery, file);
        } finally {
            Files.deleteIfExists(file);
        }
    }

    private void store(Delivery delivery, Path file) {
        transaction.executeWithoutResult(status -> {
            try (InputStream in = new BufferedInputStream(Files.newInputStream(file), 1 << 16)) {
                deliveries.store(delivery.id(), in);
                deliveries.end(delivery.id(), "ready", null, Files.size(file));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }
}
