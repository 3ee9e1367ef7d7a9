package org.logophon.app.steps.deliver;

import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.deliveries.Delivery;
import org.logophon.app.services.deliveries.DeliveryFolder;
import org.logophon.app.services.deliveries.DeliveryRepository;
import org.logophon.core.delivery.FolderWriter.Written;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A delivery into the project's folder, and what is left there of earlier ones. */
@RestController
@RequestMapping("/projects/{id}/deliveries")
class FolderController {

    private final DeliveryRepository deliveries;
    private final DeliveryFolder folder;

    FolderController(DeliveryRepository deliveries, DeliveryFolder folder) {
        this.deliveries = deliveries;
        this.folder = folder;
    }

    /** @param sentence what was done. @param left how many files of earlier deliveries are still there */
    record Answer(String sentence, int left) {}

    @PostMapping("/{delivery}/folder")
    Answer write(@PathVariable UUID id, @PathVariable UUID delivery) {
        Delivery found = deliveries
                .find(delivery)
                .filter(one -> one.projectId().equals(id) && one.ready() && one.choice() != null)
                .orElseThrow(() -> new NotFound("This delivery doesn't exist. Deliver lists those that do."));
        DeliveryFolder.Done done = folder.write(found);
        Written written = done.written();
        int left = written.left().size();
        return new Answer(
                "In " + done.folder() + ": "
                        + (written.written() == 1 ? "1 file written" : written.written() + " files written") + ", "
                        + written.same() + " as they were"
                        + (left == 0
                                ? "."
                                : ". " + (left == 1 ? "1 file" : left + " files")
                                        + " of an earlier delivery are still there: " + listed(written) + "."),
                left);
    }

    private static String listed(Written written) {
        int shown = Math.min(5, written.left().size());
        return String.join(", ", written.left().subList(0, shown))
                + (written.left().size() > shown ? " and " + (written.left().size() - shown) + " more" : "");
    }

    @PostMapping("/folder/clean")
    SentenceAnswer clean(@PathVariable UUID id) {
        int removed = folder.removeLeft(id);
        return new SentenceAnswer(
                removed == 0
                        ? "There were no old files."
                        : removed == 1 ? "1 file deleted." : removed + " files deleted.");
    }
}
