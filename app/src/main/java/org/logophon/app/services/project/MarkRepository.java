package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.uuid;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.text.reading.PronunciationKind;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code mark} and {@code cue_chance}; readings of places are marks too, in the table {@code place_reading}. */
@Repository
public class MarkRepository {

    private final JdbcClient jdbc;
    private final JdbcTemplate batches;

    MarkRepository(JdbcClient jdbc, JdbcTemplate batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    /**
     * Of all cues of a project that have any, by cue: those of their own table, and readings of places that still stand
     * on what they say.
     */
    public Map<UUID, Marks> of(UUID project) {
        return found("c.project_id = :id", project);
    }

    /** The same of one cue. */
    Map<UUID, Marks> ofCue(UUID cue) {
        return found("c.id = :id", cue);
    }

    private Map<UUID, Marks> found(String which, UUID id) {
        Map<UUID, List<Mark>> found = new HashMap<>();
        jdbc.sql("select m.* from mark m join cue c on c.id = m.cue_id where " + which)
                .param("id", id)
                .query(row -> {
                    found.computeIfAbsent(uuid(row, "cue_id"), cue -> new ArrayList<>())
                            .add(new Mark(
                                    row.getInt("start_index"),
                                    row.getInt("end_index"),
                                    Instruction.of(row.getString("kind"), row.getString("value")),
                                    Mark.Origin.valueOf(row.getString("origin")),
                                    row.getString("reason")));
                });
        jdbc.sql("select p.*, c.text from place_reading p join cue c on c.id = p.cue_id where " + which)
                .param("id", id)
                .query(row -> {
                    int start = row.getInt("start_index");
                    String written = row.getString("written");
                    if (row.getString("text").startsWith(written, start)) {
                        found.computeIfAbsent(uuid(row, "cue_id"), cue -> new ArrayList<>())
                                .add(Mark.own(
                                        start,
                                        start + written.length(),
                                        new Instruction.ReadAs(
                                                PronunciationKind.of(row.getString("said_as")),
                                                row.getString("said"))));
                    }
                });
        Map<UUID, Marks> marks = new HashMap<>();
        found.forEach((cue, all) -> marks.put(cue, new Marks(all)));
        return marks;
    }

    /** @param text of the cue, on whose words the marks stand */
    public void save(UUID cue, String text, Marks marks) {
        jdbc.sql("delete from mark where cue_id = :cue").param("cue", cue).update();
        jdbc.sql("delete from place_reading where cue_id = :cue")
                .param("cue", cue)
                .update();
        List<Mark> readings = marks.all().stream()
                .filter(mark -> mark.instruction() instanceof Instruction.ReadAs)
                .toList();
        List<Mark> others = marks.all().stream()
                .filter(mark -> !(mark.instruction() instanceof Instruction.ReadAs))
                .toList();
        batches.batchUpdate(
                "insert into mark (cue_id, start_index, end_index, kind, value, origin, reason) values (?, "
                        + "?, ?, ?, ?, ?, ?)",
                others,
                500,
                (statement, mark) -> {
                    statement.setObject(1, cue);
                    statement.setInt(2, mark.start());
                    statement.setInt(3, mark.end());
                    statement.setString(4, mark.instruction().id());
                    statement.setString(5, mark.instruction().value());
                    statement.setString(6, mark.origin().name());
                    statement.setString(7, mark.reason());
                });
        batches.batchUpdate(
                "insert into place_reading (cue_id, start_index, written, said, said_as) values (?, ?, ?, "
                        + "?, ?) on conflict do nothing",
                readings,
                500,
                (statement, mark) -> {
                    Instruction.ReadAs instruction = (Instruction.ReadAs) mark.instruction();
                    statement.setObject(1, cue);
                    statement.setInt(2, mark.start());
                    statement.setString(3, text.substring(mark.start(), mark.end()));
                    statement.setString(4, instruction.said());
                    statement.setString(5, instruction.as().id());
                });
    }

    /** Seeds of chance, by cue; a cue that isn't there has 0. */
    public Map<UUID, Long> seeds(UUID project) {
        Map<UUID, Long> seeds = new HashMap<>();
        jdbc.sql("select s.* from cue_chance s join cue c on c.id = s.cue_id where c.project_id = :project")
                .param("project", project)
                .query(row -> {
                    seeds.put(uuid(row, "cue_id"), row.getLong("seed"));
                });
        return seeds;
    }

    /** The seed of one cue, by it. */
    Map<UUID, Long> seedOf(UUID cue) {
        return jdbc.sql("select seed from cue_chance where cue_id = :cue")
                .param("cue", cue)
                .query(Long.class)
                .optional()
                .map(seed -> Map.of(cue, seed))
                .orElse(Map.of());
    }

    /** The chance of a cue's renders: 0 for its first one. */
    public long seed(UUID cue) {
        return seedOf(cue).getOrDefault(cue, 0L);
    }

    public void setSeed(UUID cue, long seed) {
        jdbc.sql("insert into cue_chance (cue_id, seed) values (:cue, :seed) on conflict (cue_id) "
                        + "do update set seed = excluded.seed")
                .param("cue", cue)
                .param("seed", seed)
                .update();
    }

    /** Another chance for a cue's next render. */
    public void reseed(UUID cue) {
        jdbc.sql("insert into cue_chance (cue_id, seed) values (:cue, 1) on conflict (cue_id) do "
                        + "update set seed = cue_chance.seed + 1")
                .param("cue", cue)
                .update();
    }
}
