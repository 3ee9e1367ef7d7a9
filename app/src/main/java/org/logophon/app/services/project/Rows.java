package org.logophon.app.services.project;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import tools.jackson.databind.json.JsonMapper;

/**
 * Many rows as one JSON parameter, for {@code jsonb_to_recordset}: one statement changes all of them. Statements that
 * change a project's cues one by one raise its version as often, and each time takes longer than the time before:
 * 10,000 of them took half a minute.
 */
final class Rows {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private Rows() {}

    /** One row while it is filled. */
    static final class Row {

        private final int at;
        private final Map<String, Object> columns = new LinkedHashMap<>();

        private Row(int at) {
            this.at = at;
        }

        /** Its index. */
        int at() {
            return at;
        }

        /** @param value null for SQL's null */
        void put(String column, Object value) {
            columns.put(column, value);
        }
    }

    /** @param fill puts the columns of one thing into its row */
    static <T> String of(List<T> things, BiConsumer<T, Row> fill) {
        List<Map<String, Object>> rows = new ArrayList<>(things.size());
        for (T thing : things) {
            Row row = new Row(rows.size());
            fill.accept(thing, row);
            rows.add(row.columns);
        }
        return JSON.writeValueAsString(rows);
    }
}
