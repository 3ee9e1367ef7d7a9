package org.logophon.app.deliver;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code delivery} and {@code delivery_part}. A package is stored and read in parts, never held whole. */
@Repository
class DeliveryRepository {

    private static final int PART_BYTES = 1 << 20;

    private final JdbcClient jdbc;
    private final Clock clock;

    DeliveryRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Call it in a transaction that holds the project, so that two deliveries don't get one number. */
    Delivery create(UUID project, String slug, String namePattern, Double targetLufs, int total, int scriptVersion) {
        UUID id = UUID.randomUUID();
        int ordinal = jdbc.sql("select coalesce(max(ordinal), 0) + 1 from delivery where project_id = :project")
                .param("project", project)
                .query(Integer.class)
                .single();
        jdbc.sql("""
                insert into delivery (id, project_id, ordinal, file_name, name_pattern, target_lufs, state, total, script_version, created_at)
                values (:id, :project, :ordinal, :file, :pattern, :lufs, 'building', :total, :script, :now)""")
                .param("id", id)
                .param("project", project)
                .param("ordinal", ordinal)
                .param("file", slug + "_delivery-" + ordinal + ".zip")
                .param("pattern", namePattern)
                .param("lufs", targetLufs)
                .param("total", total)
                .param("script", scriptVersion)
                .param("now", now())
                .update();
        return find(id).orElseThrow();
    }

    Optional<Delivery> find(UUID id) {
        return jdbc.sql("select * from delivery where id = :id")
                .param("id", id)
                .query(DeliveryRepository::delivery)
                .optional();
    }

    List<Delivery> of(UUID project) {
        return jdbc.sql("select * from delivery where project_id = :project order by ordinal desc")
                .param("project", project)
                .query(DeliveryRepository::delivery)
                .list();
    }

    void progress(UUID id, int done) {
        jdbc.sql("update delivery set done = :done where id = :id")
                .param("done", done)
                .param("id", id)
                .update();
    }

    /** @return false when it was no longer being built */
    boolean end(UUID id, String state, String problem, long bytes) {
        return jdbc.sql(
                                "update delivery set state = :state, problem = :problem, bytes = :bytes, finished_at = :now where id = :id and state = 'building'")
                        .param("state", state)
                        .param("problem", problem)
                        .param("bytes", bytes)
                        .param("now", now())
                        .param("id", id)
                        .update()
                == 1;
    }

    /** Replaces what an earlier try may have left. */
    void store(UUID id, InputStream content) throws IOException {
        jdbc.sql("delete from delivery_part where delivery_id = :id")
                .param("id", id)
                .update();
        int position = 0;
        for (byte[] part = content.readNBytes(PART_BYTES); part.length > 0; part = content.readNBytes(PART_BYTES)) {
            jdbc.sql("insert into delivery_part (delivery_id, position, content) values (:id, :position, :content)")
                    .param("id", id)
                    .param("position", position++)
                    .param("content", part)
                    .update();
        }
    }

    void copyTo(UUID id, OutputStream out) throws IOException {
        for (int position = 0; ; position++) {
            Optional<byte[]> part = jdbc.sql(
                            "select content from delivery_part where delivery_id = :id and position = :position")
                    .param("id", id)
                    .param("position", position)
                    .query(byte[].class)
                    .optional();
            if (part.isEmpty()) {
                return;
            }
            out.write(part.get());
        }
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    private static Delivery delivery(ResultSet row, int at) throws SQLException {
        return new Delivery(
                row.getObject("id", UUID.class),
                row.getObject("project_id", UUID.class),
                row.getInt("ordinal"),
                row.getString("file_name"),
                row.getString("name_pattern"),
                row.getObject("target_lufs", Double.class),
                row.getString("state"),
                row.getInt("done"),
                row.getInt("total"),
                row.getString("problem"),
                row.getLong("bytes"),
                row.getObject("created_at", OffsetDateTime.class).toInstant());
    }
}
