package org.logophon.app.steps.language;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code paid_translation}: what was paid for stays. */
@Repository
class PaidTranslations {

    private final JdbcClient jdbc;
    private final Clock clock;

    PaidTranslations(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Those of some keys that are known. */
    Map<String, String> among(Collection<String> keys) {
        Map<String, String> known = new HashMap<>();
        jdbc.sql("select key, said from paid_translation where key = any(:keys)")
                .param("keys", keys.toArray(String[]::new))
                .query((row, at) -> known.put(row.getString("key"), row.getString("said")))
                .list();
        return known;
    }

    void keep(String key, String said) {
        jdbc.sql("insert into paid_translation (key, said, at) values (:key, :said, :now) on conflict do nothing")
                .param("key", key)
                .param("said", said)
                .param("now", time(clock.instant()))
                .update();
    }
}
