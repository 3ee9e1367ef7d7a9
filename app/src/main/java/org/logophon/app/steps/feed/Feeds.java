package org.logophon.app.steps.feed;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.LinkToken;
import org.logophon.app.platform.web.StorableText;
import org.logophon.app.services.deliveries.Delivery;
import org.logophon.app.services.deliveries.ReadyDeliveries;
import org.logophon.app.services.deliveries.ReadyDeliveries.WholeFile;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.core.time.coding.Coder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Opens the feed, closes it, and says what is in it. */
@Service
class Feeds {

    private static final int MEASURED_AT = 48_000;

    private final FeedRepository table;
    private final ReadyDeliveries deliveries;
    private final Coder coder;
    private final Clock clock;

    Feeds(FeedRepository table, ReadyDeliveries deliveries, Coder coder, Clock clock) {
        this.table = table;
        this.deliveries = deliveries;
        this.coder = coder;
        this.clock = clock;
    }

    Optional<Feed> open(UUID workspace) {
        return table.open(workspace);
    }

    /** An earlier address ends. @return what stands in the new one: it is known now and never again */
    @Transactional
    public String make(UUID workspace, String title, String description) {
        String named = StorableText.of(title).strip();
        String told = StorableText.of(description).strip();
        if (named.isEmpty() || named.length() > FieldLimits.FEED_TITLE) {
            throw new Refused("A feed has a title of 1 to " + FieldLimits.FEED_TITLE + " characters.");
        }
        if (told.length() > FieldLimits.FEED_DESCRIPTION) {
            throw new Refused(
                    "A feed's description has %,d characters at most.".formatted(FieldLimits.FEED_DESCRIPTION));
        }
        String token = LinkToken.make();
        table.takeBack(workspace, clock.instant());
        table.add(new Feed(workspace, named, told), LinkToken.digest(token), clock.instant());
        return token;
    }

    void takeBack(UUID workspace) {
        table.takeBack(workspace, clock.instant());
    }

    /** @throws NotFound for a feed that never was, or was taken back */
    Feed at(String token) {
        return table.withToken(LinkToken.digest(token))
                .orElseThrow(() -> new NotFound("There is no feed at this address, or it was closed."));
    }

    List<FeedItem> items(UUID workspace) {
        return table.items(workspace);
    }

    /** @throws NotFound for what isn't in it, or not any more */
    FeedItem item(UUID workspace, UUID delivery) {
        return table.item(workspace, delivery)
                .orElseThrow(() -> new NotFound("This programme isn't in the feed any more."));
    }

    WholeFile file(UUID delivery) {
        return deliveries.whole(delivery).orElseThrow(() -> new NotFound("This programme isn't in the feed any more."));
    }

    boolean holds(UUID workspace, UUID delivery) {
        return table.item(workspace, delivery).isPresent();
    }

    /** @throws Refused for a delivery without the whole programme in one file */
    void put(UUID project, UUID delivery) throws IOException {
        require(project, delivery);
        WholeFile whole = deliveries
                .whole(delivery)
                .orElseThrow(() -> new Refused("A feed needs the whole programme in one file. Build a delivery with "
                        + "“Whole programme”, and add that."));
        table.put(delivery, seconds(whole), clock.instant());
    }

    /** @throws NotFound for what isn't in it, or not any more */
    void remove(UUID workspace, UUID delivery) {
        item(workspace, delivery);
        table.remove(delivery);
    }

    void require(UUID project, UUID delivery) {
        deliveries
                .find(delivery)
                .map(Delivery::projectId)
                .filter(project::equals)
                .orElseThrow(() -> new NotFound("This delivery doesn't exist. Deliver lists those that do."));
    }

    /** As it is played: a coded file may run a little longer than its clips. */
    private double seconds(WholeFile whole) throws IOException {
        Path file = Files.createTempFile("logophon-feed", "." + whole.kind());
        try {
            try (OutputStream out = Files.newOutputStream(file)) {
                deliveries.copyTo(whole, 0, whole.bytes(), out);
            }
            long[] samples = {0};
            coder.decode(file, MEASURED_AT, (block, count) -> samples[0] += count);
            return samples[0] / (double) MEASURED_AT;
        } finally {
            Files.deleteIfExists(file);
        }
    }
}
