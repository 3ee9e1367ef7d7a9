package org.logophon.app.services.deliveries;

import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.number;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;
import static org.logophon.app.platform.table.Columns.whole;

import java.io.IOException;
import java.io.OutputStream;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code delivery} and {@code delivery_part}. Packages from before are read in parts, never held whole. */
@Repository
public class DeliveryRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    DeliveryRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Call it in a transaction that holds the project, so that two deliveries don't get one number. */
    Delivery create(
            UUID project, String slug, String namePattern, Double targetLufs, Choice choice, int scriptVersion) {
        UUID id = UUID.randomUUID();
        Integer since = jdbc.sql("select max(ordinal) from delivery where project_id = :project and state = 'ready' "
                        + "and choice is not null")
                .param("project", project)
                .query(Integer.class)
                .optional()
                .orElse(null);
        int ordinal = jdbc.sql("select coalesce(max(ordinal), 0) + 1 from delivery where project_id = :project")
                .param("project", project)
                .query(Integer.class)
                .single();
        jdbc.sql("""
                insert into delivery (id, project_id, ordinal, file_name, name_pattern, target_lufs, choice, since,
                state, total, script_version, created_at)
                values (:id, :project, :ordinal, :file, :pattern, :lufs, cast(:choice as jsonb), :since, 'building', 0,
                :script, :now)""")
                .param("id", id)
                .param("project", project)
                .param("ordinal", ordinal)
                .param("file", slug + "_delivery-" + ordinal + ".zip")
                .param("pattern", namePattern)
                .param("lufs", targetLufs)
                .param("choice", choice.written())
                .param("since", since)
                .param("script", scriptVersion)
                .param("now", now())
                .update();
        return find(id).orElseThrow();
    }

    public Optional<Delivery> find(UUID id) {
        return jdbc.sql("select * from delivery where id = :id")
                .param("id", id)
                .query(DeliveryRepository::delivery)
                .optional();
    }

    public List<Delivery> of(UUID project) {
        return jdbc.sql("select * from delivery where project_id = :project order by ordinal desc")
                .param("project", project)
                .query(DeliveryRepository::delivery)
                .list();
    }

    public Optional<Delivery> numbered(UUID project, int ordinal) {
        return jdbc.sql("select * from delivery where project_id = :project and ordinal = :ordinal")
                .param("project", project)
                .param("ordinal", ordinal)
                .query(DeliveryRepository::delivery)
                .optional();
    }

    void setTotal(UUID id, int total) {
        jdbc.sql("update delivery set total = :total, done = 0 where id = :id")
                .param("total", total)
                .param("id", id)
                .update();
    }

    void progress(UUID id, int done) {
        jdbc.sql("update delivery set done = :done where id = :id")
                .param("done", done)
                .param("id", id)
                .update();
    }

    /** @return false when it was no longer being built */
    boolean end(UUID id, String state, String problem, long bytes) {
        return jdbc.sql("update delivery set state = :state, problem = :problem, bytes = :bytes, "
                                + "finished_at = :now where id = :id and state = 'building'")
                        .param("state", state)
                        .param("problem", problem)
                        .param("bytes", bytes)
                        .param("now", now())
                        .param("id", id)
                        .update()
                == 1;
    }

    /** The package of a delivery from before files were kept one by one. */
    void copyTo(UUID id, OutputStream out) throws IOException {
        StoredParts.copy(
                position -> jdbc.sql(
                                "select content from delivery_part where delivery_id = :id and position = :position")
                        .param("id", id)
                        .param("position", position)
                        .query(byte[].class)
                        .optional(),
                out);
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }

    private static Delivery delivery(ResultSet row, int at) throws SQLException {
        return new Delivery(
                uuid(row, "id"),
                uuid(row, "project_id"),
                row.getInt("ordinal"),
                row.getString("file_name"),
                row.getString("name_pattern"),
                number(row, "target_lufs"),
                row.getString("choice") == null ? null : Choice.read(row.getString("choice")),
                whole(row, "since"),
                row.getString("state"),
                row.getInt("done"),
                row.getInt("total"),
                row.getString("problem"),
                row.getLong("bytes"),
                instant(row, "created_at"));
    }
}
