package org.logophon.app.steps.transfer;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Which migrations the tables have behind them. */
@Component
class SchemaVersion {

    private final JdbcClient jdbc;

    SchemaVersion(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    int newest() {
        return jdbc.sql("select max(version::int) from flyway_schema_history where success and version is not null")
                .query(Integer.class)
                .single();
    }
}
