package org.logophon.app.services.deliveries;

import java.time.Instant;
import java.util.UUID;
import org.logophon.app.services.page.FileSize;

/**
 * A package handed over or under way.
 *
 * @param choice what it holds, and how
 * @param since  number of the delivery that it is compared with; null for none
 * @param state  building, ready, failed or cancelled
 * @param bytes  of all its files
 */
public record Delivery(
        UUID id,
        UUID projectId,
        int ordinal,
        String fileName,
        String namePattern,
        Double targetLufs,
        Choice choice,
        Integer since,
        String state,
        int done,
        int total,
        String problem,
        long bytes,
        Instant createdAt) {

    public boolean building() {
        return "building".equals(state);
    }

    public boolean ready() {
        return "ready".equals(state);
    }

    public int percent() {
        return total == 0 ? 100 : 100 * done / total;
    }

    public String size() {
        return FileSize.of(bytes);
    }

    /** Of the package with what has changed alone. */
    public String changesName() {
        return fileName.replace(".zip", "-changes.zip");
    }
}
