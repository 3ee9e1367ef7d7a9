package org.logophon.app.steps.transfer;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The columns that tables have here, with their types, as the database's own catalogue says. */
@Component
class TableColumns {

    private final JdbcClient jdbc;

    TableColumns(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * @param type     as in {@code information_schema.columns}
     * @param required true where it can't be null and has no value of its own
     */
    record Column(String type, boolean required) {}

    /** In the order in which they stand in the table. */
    Map<String, Column> of(String table) {
        Map<String, Column> found = new LinkedHashMap<>();
        jdbc.sql("""
                select column_name, data_type, is_nullable = 'NO' and column_default is null
                and is_identity = 'NO' as required
                from information_schema.columns where table_schema = 'public' and table_name = :table
                order by ordinal_position""").param("table", table).query(row -> {
            found.put(row.getString("column_name"), new Column(row.getString("data_type"), row.getBoolean("required")));
        });
        return found;
    }
}
