package org.logophon.app.services.deliveries;

import java.util.List;
import org.logophon.app.services.deliveries.DeliveredFiles.Stored;

/**
 * The last delivery that was built, which the next one is compared with.
 *
 * @param delivery null for none
 */
public record Earlier(Delivery delivery, List<Stored> files) {

    /** @param all of a project, the newest first */
    public static Earlier of(List<Delivery> all, DeliveredFiles files) {
        return all.stream()
                .filter(delivery -> delivery.ready() && delivery.choice() != null)
                .findFirst()
                .map(delivery -> new Earlier(delivery, files.of(delivery.id())))
                .orElse(new Earlier(null, List.of()));
    }
}
