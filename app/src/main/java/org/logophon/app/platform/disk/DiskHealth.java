package org.logophon.app.platform.disk;

import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** The disk in the health of the application: down when nothing can be saved any more. */
@Component("disk")
class DiskHealth implements HealthIndicator {

    private final DiskRoom room;

    DiskHealth(DiskRoom room) {
        this.room = room;
    }

    @Override
    public Health health() {
        return (room.full() ? Health.down() : Health.up())
                .withDetail("freeBytes", room.freeBytes())
                .withDetail("little", room.little())
                .build();
    }
}
