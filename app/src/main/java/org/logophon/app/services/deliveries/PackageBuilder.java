package org.logophon.app.services.deliveries;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.disk.DiskRoom;
import org.logophon.app.platform.failure.DatabaseAway;
import org.logophon.app.platform.failure.NoRoom;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.deliveries.DeliveredFiles.Stored;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.rendering.JobRetry;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.time.coding.CodingFailed;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Does one delivery job. A job that comes again after a kill starts over: nothing counts before every file is
 * stored.
 */
@Component
class PackageBuilder {

    private final DeliveryRepository deliveries;
    private final Projects projects;
    private final PackageWriter writer;
    private final DiskRoom room;
    private final DeliveredFiles files;
    private final ReadyDeliveries ready;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    PackageBuilder(
            DeliveryRepository deliveries,
            Projects projects,
            PackageWriter writer,
            DiskRoom room,
            DeliveredFiles files,
            ReadyDeliveries ready,
            TransactionTemplate transaction,
            ApplicationEventPublisher events,
            Clock clock) {
        this.deliveries = deliveries;
        this.projects = projects;
        this.writer = writer;
        this.room = room;
        this.files = files;
        this.ready = ready;
        this.transaction = transaction;
        this.events = events;
        this.clock = clock;
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
        Delivery delivery = deliveries.find(id).orElse(null);
        if (deliveries.end(id, "failed", sentence, 0) && delivery != null) {
            over(delivery, sentence);
        }
    }

    private void over(Delivery delivery, String problem) {
        events.publishEvent(new DeliveryOver(
                delivery.projectId(),
                delivery.ordinal(),
                problem,
                Duration.between(delivery.createdAt(), clock.instant())));
    }

    private void build(Delivery delivery) {
        try {
            packed(delivery);
        } catch (CodingFailed failed) {
            // a full disk ends the coder too, and is what is to be told
            if (NoRoom.is(failed)) {
                throw new UncheckedIOException(failed);
            }
            throw new Refused(failed.getMessage());
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private void packed(Delivery delivery) throws IOException {
        ProjectView view = projects.view(delivery.projectId());
        PackageWriter.Contents contents = writer.contents(view, delivery);
        deliveries.setTotal(delivery.id(), writer.steps(contents));
        int[] told = {0};
        List<Stored> written = writer.write(contents, done -> {
            room.need(0);
            if (done != told[0]) {
                told[0] = done;
                deliveries.progress(delivery.id(), done);
            }
            return deliveries.find(delivery.id()).filter(Delivery::building).isPresent();
        });
        if (written != null) {
            List<Stored> all = told(delivery, view, written);
            List<DeliveredCue> cues = writer.cues(contents);
            long bytes = all.stream().mapToLong(file -> file.entry().bytes()).sum();
            transaction.executeWithoutResult(status -> {
                files.save(delivery.id(), all);
                ready.save(delivery.id(), cues, contents.laid());
                if (deliveries.end(delivery.id(), "ready", null, bytes)) {
                    over(delivery, "");
                }
            });
        }
    }

    /** Where a clip sounds otherwise, what it is that was changed. */
    private static Manifest.Entry reasoned(Manifest.Entry file, String madeOf, List<Stored> earlier) {
        if (!file.why().equals("sound")) {
            return file;
        }
        return earlier.stream()
                .filter(was -> was.entry().cue().equals(file.cue())
                        && !was.entry().change().equals("gone"))
                .map(was -> MadeOf.difference(madeOf, was.madeOf()))
                .filter(why -> !why.isEmpty())
                .findFirst()
                .map(file::because)
                .orElse(file);
    }

    /** Each file with what has become of it since the delivery before. */
    private List<Stored> told(Delivery delivery, ProjectView view, List<Stored> written) {
        String title = view.project().name();
        Manifest now = Manifest.first(title, written.stream().map(Stored::entry).toList());
        List<Stored> earlier = List.of();
        if (delivery.since() != null) {
            Delivery before =
                    deliveries.numbered(delivery.projectId(), delivery.since()).orElseThrow();
            earlier = files.of(before.id());
            now = now.since(new Manifest(
                    now.version(), title, earlier.stream().map(Stored::entry).toList()));
        }
        List<Stored> told = new ArrayList<>();
        for (int i = 0; i < now.files().size(); i++) {
            Stored was = i < written.size() ? written.get(i) : null;
            Manifest.Entry file = now.files().get(i);
            told.add(new Stored(
                    was == null ? file : reasoned(file, was.madeOf(), earlier),
                    was == null ? "" : was.madeOf(),
                    was == null ? null : was.measured()));
        }
        return told;
    }
}
