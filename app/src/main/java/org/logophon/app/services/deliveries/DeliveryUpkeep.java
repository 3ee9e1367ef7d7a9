package org.logophon.app.services.deliveries;

import java.time.Instant;
import java.util.List;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Deliveries stay. */
@Component
class DeliveryUpkeep implements Upkeep {

    private final JdbcClient jdbc;

    private final DeliveredFiles files;

    DeliveryUpkeep(JdbcClient jdbc, DeliveredFiles files) {
        this.jdbc = jdbc;
        this.files = files;
    }

    /** What only deliveries of projects had that are gone. */
    @Override
    public List<Removed> remove(Instant now) {
        DeliveredFiles.Unused gone = files.removeUnused();
        return gone.files() == 0 ? List.of() : List.of(new Removed("delivered files", gone.files(), gone.bytes()));
    }

    @Override
    public int turn() {
        return 9;
    }

    @Override
    public List<Held> held() {
        return jdbc.sql("select count(*) as things, coalesce(sum(bytes), 0) as bytes from delivery where "
                        + "state = 'ready'")
                .query(Held.counted("Deliveries", "Kept with their project."))
                .list();
    }
}
