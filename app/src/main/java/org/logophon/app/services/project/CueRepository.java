package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.constant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;
import static org.logophon.app.platform.table.Columns.whole;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.logophon.core.direction.Direction;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.text.script.Slot;
import org.logophon.core.time.programme.Placement.Anchor;
import org.logophon.core.voice.take.TakenDirection;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/**
 * Table {@code cue}. A cue that left the script is marked, not deleted: its takes stay, and it comes back with its
 * words.
 */
@Repository
public class CueRepository {

    private static final String SELECT = "select c.* from cue c ";

    private final JdbcClient jdbc;
    private final JdbcTemplate batches;
    private final Clock clock;

    CueRepository(JdbcClient jdbc, JdbcTemplate batches, Clock clock) {
        this.jdbc = jdbc;
        this.batches = batches;
        this.clock = clock;
    }

    /** A cue with the place and number that a new split gives it. */
    public record Placed(
            UUID id,
            int position,
            String number,
            ScriptCue cue,
            int words,
            int syllables,
            double referenceSeconds,
            Direction direction,
            Slot slot) {}

    public List<Cue> of(UUID project) {
        return jdbc.sql(SELECT + "where c.project_id = :project and c.removed_at is null order by c.position")
                .param("project", project)
                .query(CueRepository::cue)
                .list();
    }

    /** Cues that left the script, the latest first. */
    public List<Cue> removed(UUID project) {
        return jdbc.sql(SELECT
                        + "where c.project_id = :project and c.removed_at is not null order by "
                        + "c.removed_at desc limit 500")
                .param("project", project)
                .query(CueRepository::cue)
                .list();
    }

    public Optional<Cue> find(UUID project, UUID cue) {
        return jdbc.sql(SELECT + "where c.project_id = :project and c.id = :cue and c.removed_at is null")
                .param("project", project)
                .param("cue", cue)
                .query(CueRepository::cue)
                .optional();
    }

    public void insert(UUID project, List<Placed> cues) {
        batches.batchUpdate(
                """
                insert into cue (id, project_id, position, number, scene, role, text, words, syllables,
                reference_seconds, slot_in_millis, slot_out_millis,
                                 %s)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?,
                %s)""".formatted(DirectionColumns.NAMES, DirectionColumns.MARKS), cues, 500, (statement, placed) -> {
                    statement.setObject(1, placed.id());
                    statement.setObject(2, project);
                    statement.setInt(3, placed.position());
                    statement.setString(4, placed.number());
                    statement.setString(5, placed.cue().scene());
                    statement.setString(6, placed.cue().role());
                    statement.setString(7, placed.cue().text());
                    statement.setInt(8, placed.words());
                    statement.setInt(9, placed.syllables());
                    statement.setDouble(10, placed.referenceSeconds());
                    statement.setObject(
                            11, placed.slot() == null ? null : placed.slot().inMillis());
                    statement.setObject(
                            12, placed.slot() == null ? null : placed.slot().outMillis());
                    DirectionColumns.set(statement, 13, placed.direction());
                });
    }

    public void update(List<Placed> cues) {
        if (cues.isEmpty()) {
            return;
        }
        jdbc.sql("""
                update cue c set position = r.position, number = r.number, scene = r.scene,
                role = r.role, text = r.text,
                words = r.words, syllables = r.syllables, reference_seconds = r.seconds, removed_at = null
                from jsonb_to_recordset(cast(:rows as jsonb)) as r (id uuid, position int, number text, scene text, role
                text,
                text text, words int, syllables int, seconds float8)
                where c.id = r.id""")
                .param("rows", Rows.of(cues, (placed, row) -> {
                    row.put("id", placed.id());
                    row.put("position", placed.position());
                    row.put("number", placed.number());
                    row.put("scene", placed.cue().scene());
                    row.put("role", placed.cue().role());
                    row.put("text", placed.cue().text());
                    row.put("words", placed.words());
                    row.put("syllables", placed.syllables());
                    row.put("seconds", placed.referenceSeconds());
                }))
                .update();
    }

    public void remove(List<UUID> cues) {
        if (cues.isEmpty()) {
            return;
        }
        jdbc.sql("update cue set removed_at = :now where id = any(:cues)")
                .param("now", time(clock.instant()))
                .param("cues", cues.toArray(UUID[]::new))
                .update();
    }

    /** @return false when the cue is no longer at that version: someone else changed it */
    public boolean direct(UUID cue, Direction direction, int version) {
        return jdbc.sql("update cue set " + DirectionColumns.SET
                                + ", version = version + 1 where id = :cue and version = :version")
                        .params(DirectionColumns.parameters(direction))
                        .param("cue", cue)
                        .param("version", version)
                        .update()
                == 1;
    }

    /** Sets all that a cue says of how it is spoken, whatever its version is: undo, and being made like a take. */
    public void direct(UUID cue, Direction direction, TakenDirection taken) {
        jdbc.sql("update cue set " + DirectionColumns.SET
                        + ", taken = cast(:taken as jsonb), version = version + 1 where id = :cue")
                .params(DirectionColumns.parameters(direction))
                .param("taken", TakenColumn.write(taken))
                .param("cue", cue)
                .update();
    }

    /**
     * @param recipe hash of the cue's recipe now, null when it has none: until it differs the cue counts as unchanged
     */
    public void keep(UUID cue, UUID take, String recipe) {
        jdbc.sql("update cue set kept_take = :take, kept_recipe = :recipe where id = :cue")
                .param("take", take)
                .param("recipe", recipe)
                .param("cue", cue)
                .update();
    }

    /** Slots in the order of the cues; a null leaves the cue without one. */
    public void setSlots(List<UUID> cues, List<Slot> slots) {
        jdbc.sql("""
                update cue c set slot_in_millis = r.slot_in, slot_out_millis = r.slot_out
                from jsonb_to_recordset(cast(:rows as jsonb)) as r (id uuid, slot_in int, slot_out int)
                where c.id = r.id""")
                .param("rows", Rows.of(cues, (cue, row) -> {
                    row.put("id", cue);
                    put(row, slots.get(row.at()));
                }))
                .update();
    }

    private static void put(Rows.Row row, Slot slot) {
        row.put("slot_in", slot == null ? null : slot.inMillis());
        row.put("slot_out", slot == null ? null : slot.outMillis());
    }

    /** A cue's place, slot and gap as they are stored together. @param gapMillis its own; null for none */
    public record StoredPlace(UUID cue, CuePlace place, Slot slot, Integer gapMillis) {}

    public void setPlaces(List<StoredPlace> places) {
        jdbc.sql("""
                update cue c set placement = r.kind, anchor = r.anchor, offset_samples = r.by, fixed_samples = r.fixed,
                slot_in_millis = r.slot_in, slot_out_millis = r.slot_out, pause_after_millis = r.gap
                from jsonb_to_recordset(cast(:rows as jsonb)) as r (id uuid, kind text, anchor text, by int8, fixed
                int8,
                slot_in int, slot_out int, gap int)
                where c.id = r.id""")
                .param("rows", Rows.of(places, (placed, row) -> {
                    CuePlace place = placed.place();
                    row.put("id", placed.cue());
                    row.put("kind", place.kind() == null ? null : place.kind().id());
                    row.put("anchor", place.anchor().name().toLowerCase(Locale.ROOT));
                    row.put("by", place.offsetSamples());
                    row.put("fixed", place.fixedSamples());
                    put(row, placed.slot());
                    row.put("gap", placed.gapMillis());
                }))
                .update();
    }

    public void setNumbers(List<UUID> cues, List<String> numbers) {
        jdbc.sql("""
                update cue c set number = r.number
                from jsonb_to_recordset(cast(:rows as jsonb)) as r (id uuid, number text)
                where c.id = r.id""")
                .param("rows", Rows.of(cues, (cue, row) -> {
                    row.put("id", cue);
                    row.put("number", numbers.get(row.at()));
                }))
                .update();
    }

    /** Every number that a cue of the project has or had. */
    public java.util.Set<String> usedNumbers(UUID project) {
        return new java.util.HashSet<>(jdbc.sql("select number from cue where project_id = :project")
                .param("project", project)
                .query(String.class)
                .list());
    }

    private static Slot slot(ResultSet row) throws SQLException {
        Integer in = whole(row, "slot_in_millis");
        return in == null ? null : new Slot(in, row.getInt("slot_out_millis"));
    }

    private static CuePlace place(ResultSet row) throws SQLException {
        String kind = row.getString("placement");
        return new CuePlace(
                kind == null ? null : CuePlace.Kind.valueOf(kind.toUpperCase(Locale.ROOT)),
                constant(row, "anchor", Anchor.class),
                row.getLong("offset_samples"),
                row.getObject("fixed_samples", Long.class));
    }

    private static Cue cue(ResultSet row, int at) throws SQLException {
        return new Cue(
                uuid(row, "id"),
                row.getInt("position"),
                row.getString("number"),
                row.getString("scene"),
                row.getString("role"),
                row.getString("text"),
                row.getInt("words"),
                row.getInt("syllables"),
                row.getDouble("reference_seconds"),
                slot(row),
                DirectionColumns.read(row),
                row.getInt("version"),
                TakenColumn.read(row.getString("taken")),
                place(row));
    }
}
