package org.logophon.app.services.notifications;

import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code wish}. */
@Repository
class NotificationSettingsRepository {

    private final JdbcClient jdbc;

    NotificationSettingsRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param person null for who uses the machine */
    NotificationSettings of(UUID person) {
        return jdbc.sql("select * from wish where person_id is not distinct from cast(:person as uuid)")
                .param("person", person)
                .query(NotificationSettingsRepository::wish)
                .optional()
                .orElseGet(() -> NotificationSettings.unsaid(person));
    }

    Optional<NotificationSettings> find(UUID id) {
        return jdbc.sql("select * from wish where id = :id")
                .param("id", id)
                .query(NotificationSettingsRepository::wish)
                .optional();
    }

    /** Of the people of a workspace, and of who uses the machine, who want to be told elsewhere than in the page. */
    List<NotificationSettings> elsewhere(UUID workspace, boolean people) {
        return jdbc.sql("select w.* from wish w where (w.mail <> '' or w.hook <> '') and "
                        + (people
                                ? "w.person_id in (select person_id from member where workspace_id = :workspace)"
                                : "w.person_id is null and cast(:workspace as uuid) is not null"))
                .param("workspace", workspace)
                .query(NotificationSettingsRepository::wish)
                .list();
    }

    void save(NotificationSettings wish) {
        jdbc.sql("""
                insert into wish (id, person_id, renders, deliveries, visitors, mail, hook, secret)
                values (:id, :person, :renders, :deliveries, :visitors, :mail, :hook, :secret)
                on conflict (coalesce(person_id, '00000000-0000-0000-0000-000000000000')) do update
                set renders = excluded.renders,
                deliveries = excluded.deliveries, visitors = excluded.visitors,
                mail = excluded.mail, hook = excluded.hook, secret = excluded.secret""").paramSource(wish).update();
    }

    private static NotificationSettings wish(ResultSet row, int at) throws SQLException {
        return new NotificationSettings(
                uuid(row, "id"),
                uuid(row, "person_id"),
                row.getBoolean("renders"),
                row.getBoolean("deliveries"),
                row.getBoolean("visitors"),
                row.getString("mail"),
                row.getString("hook"),
                row.getString("secret"));
    }
}
