package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.uuid;

import java.util.List;
import java.util.UUID;
import org.logophon.core.text.script.Slot;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code picture_slot}: times of the picture for which there is no cue. */
@Repository
public class PictureSlotRepository {

    private final JdbcClient jdbc;
    private final JdbcTemplate batches;

    PictureSlotRepository(JdbcClient jdbc, JdbcTemplate batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    /** @param number and name that the file gave it; empty for none */
    public record EmptySlot(UUID id, Slot slot, String number, String name) {}

    public List<EmptySlot> of(UUID project) {
        return jdbc.sql("select * from picture_slot where project_id = :project order by in_millis")
                .param("project", project)
                .query((row, at) -> new EmptySlot(
                        uuid(row, "id"),
                        new Slot(row.getInt("in_millis"), row.getInt("out_millis")),
                        row.getString("number"),
                        row.getString("name")))
                .list();
    }

    public void replace(UUID project, List<EmptySlot> slots) {
        jdbc.sql("delete from picture_slot where project_id = :project")
                .param("project", project)
                .update();
        batches.batchUpdate(
                "insert into picture_slot (id, project_id, in_millis, out_millis, number, name) values (?, "
                        + "?, ?, ?, ?, ?)",
                slots,
                500,
                (statement, slot) -> {
                    statement.setObject(1, slot.id());
                    statement.setObject(2, project);
                    statement.setInt(3, slot.slot().inMillis());
                    statement.setInt(4, slot.slot().outMillis());
                    statement.setString(5, slot.number());
                    statement.setString(6, slot.name());
                });
    }
}
