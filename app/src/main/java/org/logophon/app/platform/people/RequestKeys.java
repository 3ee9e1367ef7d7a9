package org.logophon.app.platform.people;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.logophon.app.platform.upkeep.Upkeep;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code request_key}: which requests have been done. What they answered with isn't kept: it may be a secret. */
@Repository
class RequestKeys implements Upkeep {

    private static final Duration KEPT = Duration.ofDays(1);

    private final JdbcClient jdbc;

    RequestKeys(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @return false when the key was used before */
    boolean begin(String key) {
        return jdbc.sql("""
                insert into request_key (key) values (:key) on conflict (key) do update set at = now()
                where request_key.ended_at is null and request_key.at < now() - interval
                '2 minutes'""").param("key", key).update() == 1;
    }

    /** Whether what the key stands for is done; empty when it failed, and may be tried again. */
    Optional<Boolean> ended(String key) {
        return jdbc.sql("select ended_at is not null from request_key where key = :key")
                .param("key", key)
                .query(Boolean.class)
                .optional();
    }

    void end(String key) {
        jdbc.sql("update request_key set ended_at = now() where key = :key")
                .param("key", key)
                .update();
    }

    /** What failed may be sent again. */
    void forget(String key) {
        jdbc.sql("delete from request_key where key = :key").param("key", key).update();
    }

    @Override
    public List<Held> held() {
        return List.of();
    }

    @Override
    public List<Removed> remove(Instant now) {
        jdbc.sql("delete from request_key where at < :before")
                .param("before", time(now.minus(KEPT)))
                .update();
        return List.of();
    }

    @Override
    public int turn() {
        return 9;
    }
}
