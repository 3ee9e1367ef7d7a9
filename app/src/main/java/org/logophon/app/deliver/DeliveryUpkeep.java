package org.logophon.app.deliver;

import java.util.List;
import org.logophon.app.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Deliveries stay. */
@Component
class DeliveryUpkeep implements Upkeep {

    private final JdbcClient jdbc;

    DeliveryUpkeep(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public List<Held> held() {
        return jdbc.sql(
                        "select count(*) as things, coalesce(sum(bytes), 0) as bytes from delivery where state = 'ready'")
                .query((row, at) ->
                        new Held("Deliveries", "Stay with their project.", row.getLong("things"), row.getLong("bytes")))
                .list();
    }
}
