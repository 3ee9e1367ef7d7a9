package org.logophon.app.platform.people;

import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;

/**
 * Names of people are told apart by what they look like. Of two that look alike already, who came first keeps the name,
 * and the other signs in with it no more until an owner invites them anew.
 */
@Component
class V31__person_name_keys extends BaseJavaMigration {

    @Override
    public void migrate(Context context) throws SQLException {
        Map<UUID, String> keys = new LinkedHashMap<>();
        Set<String> taken = new HashSet<>();
        try (Statement people = context.getConnection().createStatement();
                ResultSet rows = people.executeQuery("select id, name from person order by made_at, id")) {
            while (rows.next()) {
                UUID id = rows.getObject("id", UUID.class);
                String key = PersonName.key(rows.getString("name"));
                keys.put(id, taken.add(key) ? key : key + " " + id);
            }
        }
        // no old key stands in the way of a new one
        try (Statement people = context.getConnection().createStatement()) {
            people.executeUpdate("update person set name_key = id::text");
        }
        try (PreparedStatement set =
                context.getConnection().prepareStatement("update person set name_key = ? where id = ?")) {
            for (Map.Entry<UUID, String> one : keys.entrySet()) {
                set.setString(1, one.getValue());
                set.setObject(2, one.getKey());
                set.addBatch();
            }
            set.executeBatch();
        }
    }
}
