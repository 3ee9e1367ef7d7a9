package org.logophon.app.deliver;

import java.time.Instant;
import java.util.UUID;

/**
 * A package handed over or under way.
 *
 * @param state building, ready, failed or cancelled
 * @param bytes size of the ZIP
 */
public record Delivery(
        UUID id,
        UUID projectId,
        int ordinal,
        String fileName,
        String namePattern,
        Double targetLufs,
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
        return "%.1f MB".formatted(bytes / 1e6);
    }
}
