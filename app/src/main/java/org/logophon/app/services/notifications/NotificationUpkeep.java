package org.logophon.app.services.notifications;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.stereotype.Component;

/** The upkeep of notifications: whoever hasn't seen it by then finds it in the history. */
@Component
class NotificationUpkeep implements Upkeep {

    static final Duration KEPT = Duration.ofDays(30);

    private final NotificationRepository table;

    NotificationUpkeep(NotificationRepository table) {
        this.table = table;
    }

    @Override
    public List<Held> held() {
        return List.of();
    }

    @Override
    public List<Removed> remove(Instant now) {
        int gone = table.forget(now.minus(KEPT));
        return gone == 0 ? List.of() : List.of(new Removed("notifications", gone, 0));
    }
}
