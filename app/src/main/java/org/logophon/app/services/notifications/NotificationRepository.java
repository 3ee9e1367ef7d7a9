package org.logophon.app.services.notifications;

import static org.logophon.app.platform.table.Columns.constant;
import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code tiding}. */
@Repository
class NotificationRepository {

    private static final String SELECT =
            "select t.*, p.name as project_name from tiding t join project p on p.id = t.project_id ";

    private final JdbcClient jdbc;
    private final Clock clock;

    NotificationRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @param brief true for what addresses alone are called for. @return its id; empty when the project has gone */
    Optional<Long> add(UUID project, Notification.Kind kind, String sentence, String address, boolean brief) {
        return jdbc.sql("""
                insert into tiding (workspace_id, project_id, kind, sentence, address, brief, at)
                select workspace_id, id, :kind, :sentence, :address, :brief, :now from project
                where id = :project returning id""")
                .param("project", project)
                .param("kind", kind.id())
                .param("sentence", sentence)
                .param("address", address)
                .param("brief", brief)
                .param("now", time(clock.instant()))
                .query(Long.class)
                .optional();
    }

    Optional<Notification> find(long id) {
        return jdbc.sql(SELECT + "where t.id = :id")
                .param("id", id)
                .query(NotificationRepository::notification)
                .optional();
    }

    /** The latest of a workspace that people are told, in their order. */
    List<Notification> after(UUID workspace, long id, Instant since, int most) {
        return jdbc.sql("select * from (" + SELECT
                        + "where t.workspace_id = :workspace and not t.brief and t.id > :id and t.at "
                        + "> :since order by t.id desc limit :most) as latest order by id")
                .param("workspace", workspace)
                .param("id", id)
                .param("since", time(since))
                .param("most", most)
                .query(NotificationRepository::notification)
                .list();
    }

    /** @return how many */
    int forget(Instant before) {
        return jdbc.sql("delete from tiding where at < :before")
                .param("before", time(before))
                .update();
    }

    private static Notification notification(ResultSet row, int at) throws SQLException {
        return new Notification(
                row.getLong("id"),
                uuid(row, "workspace_id"),
                uuid(row, "project_id"),
                row.getString("project_name"),
                constant(row, "kind", Notification.Kind.class),
                row.getString("sentence"),
                row.getString("address"),
                row.getBoolean("brief"),
                instant(row, "at"));
    }
}
