package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.number;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;
import static org.logophon.app.platform.table.Columns.whole;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.core.delivery.FileNames;
import org.logophon.core.direction.Direction;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.Splitting;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.voice.finish.FinishSettings;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code project}. */
@Repository
public class ProjectRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    ProjectRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    public Project create(UUID workspace, String name, String language, Integer targetSeconds) {
        UUID id = UUID.randomUUID();
        jdbc.sql("""
                insert into project (id, workspace_id, name, language, target_seconds, target_lufs, name_pattern,
                created_at, changed_at)
                values (:id, :workspace, :name, :language, :seconds, :lufs, :pattern, :now, :now)""")
                .param("id", id)
                .param("workspace", workspace)
                .param("name", name)
                .param("language", language)
                .param("seconds", targetSeconds)
                .param("lufs", FinishSettings.DEFAULT_TARGET_LUFS)
                .param("pattern", FileNames.DEFAULT_PATTERN)
                .param("now", now())
                .update();
        return find(id).orElseThrow();
    }

    /** A project that is not deleted. */
    public Optional<Project> find(UUID id) {
        return jdbc.sql("select p.*, w.version as house_version from project p join workspace w on w.id = "
                        + "p.workspace_id where p.id = :id and deleted_at is null")
                .param("id", id)
                .query(ProjectRepository::project)
                .optional();
    }

    /** The same, held against other writers until the transaction ends. */
    public Optional<Project> lock(UUID id) {
        return jdbc.sql("select p.*, w.version as house_version from project p join workspace w on w.id = "
                        + "p.workspace_id where p.id = :id and deleted_at is null for no key update of p")
                .param("id", id)
                .query(ProjectRepository::project)
                .optional();
    }

    /**
     * Holds a project against other writers until the transaction ends. Whoever changes something of a project does
     * this first: its row is changed last, by what counts changes, and two that hold parts would wait for one another.
     */
    public void hold(UUID id) {
        jdbc.sql("select id from project where id = :id for no key update")
                .param("id", id)
                .query(UUID.class)
                .optional();
    }

    /** A project that was deleted and can be brought back. */
    public record Deleted(UUID id, String name, Instant at) {}

    /** The latest first. */
    public List<Deleted> deleted(UUID workspace) {
        return jdbc.sql("select id, name, deleted_at from project where workspace_id = :workspace and "
                        + "deleted_at is not null order by deleted_at desc")
                .param("workspace", workspace)
                .query((row, at) -> new Deleted(uuid(row, "id"), row.getString("name"), instant(row, "deleted_at")))
                .list();
    }

    public boolean rename(UUID id, String name) {
        return jdbc.sql("update project set name = :name, changed_at = :now where id = :id and deleted_at is null")
                        .param("name", name)
                        .param("now", now())
                        .param("id", id)
                        .update()
                == 1;
    }

    /** @return false when it already is as asked */
    public boolean setDeleted(UUID id, boolean deleted) {
        return jdbc.sql("update project set deleted_at = :at, changed_at = :now where id = :id and "
                                + "(deleted_at is null) = :deleted")
                        .param("at", deleted ? now() : null)
                        .param("now", now())
                        .param("id", id)
                        .param("deleted", deleted)
                        .update()
                == 1;
    }

    /** Saves a script over the version that it was made from. */
    public void saveScript(UUID id, String script, ScriptShape shape, int version) {
        jdbc.sql("""
                update project set script = :script, script_version = :version, splitting = :splitting, cuts = :cuts,
                number_start = :start,
                number_step = :step, number_width = :width, number_prefix = :prefix, numbers_frozen = :frozen,
                changed_at = :now where id = :id""")
                .param("script", script)
                .param("version", version)
                .param("splitting", shape.splitting().id())
                .param("cuts", CutColumn.write(shape.cuts()))
                .param("start", shape.numbers().start())
                .param("step", shape.numbers().step())
                .param("width", shape.numbers().width())
                .param("prefix", shape.numbers().prefix())
                .param("frozen", shape.frozen())
                .param("now", now())
                .param("id", id)
                .update();
    }

    /** From the first delivery on a cue keeps its number. */
    public void freezeNumbers(UUID id) {
        jdbc.sql("update project set numbers_frozen = true where id = :id")
                .param("id", id)
                .update();
    }

    public void setTarget(UUID id, Integer seconds) {
        jdbc.sql("update project set target_seconds = :seconds, changed_at = :now where id = :id")
                .param("seconds", seconds)
                .param("now", now())
                .param("id", id)
                .update();
    }

    public void setFinish(UUID id, Double targetLufs, String namePattern) {
        jdbc.sql("update project set target_lufs = :lufs, name_pattern = :pattern, changed_at = :now where id = :id")
                .param("lufs", targetLufs)
                .param("pattern", namePattern)
                .param("now", now())
                .param("id", id)
                .update();
    }

    public void setPicture(UUID id, Picture picture) {
        jdbc.sql("update project set frame_rate = :rate, start_frame = :start, least_gap_millis = "
                        + ":gap, changed_at = :now where id = :id")
                .param("rate", picture.rate() == null ? null : picture.rate().id())
                .param("start", picture.startFrame())
                .param("gap", picture.leastGapMillis())
                .param("now", now())
                .param("id", id)
                .update();
    }

    /** @return false when the direction is no longer at that version: someone else changed it */
    public boolean direct(UUID id, Direction direction, int version) {
        return jdbc.sql("update project set " + DirectionColumns.SET
                                + ", direction_version = direction_version + 1, changed_at = :now "
                                + "where id = :id and direction_version = :version")
                        .params(DirectionColumns.parameters(direction))
                        .param("now", now())
                        .param("id", id)
                        .param("version", version)
                        .update()
                == 1;
    }

    public void touch(UUID id) {
        jdbc.sql("update project set changed_at = :now where id = :id")
                .param("now", now())
                .param("id", id)
                .update();
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }

    private static Project project(ResultSet row, int at) throws SQLException {
        Instant changed = instant(row, "changed_at");
        return new Project(
                uuid(row, "id"),
                uuid(row, "workspace_id"),
                uuid(row, "version_of_id"),
                row.getString("name"),
                row.getString("language"),
                whole(row, "target_seconds"),
                row.getString("script"),
                row.getInt("script_version"),
                new ScriptShape(
                        Splitting.parse(row.getString("splitting")),
                        CutColumn.read(row, "cuts"),
                        new CueNumbers(
                                row.getInt("number_start"),
                                row.getInt("number_step"),
                                row.getInt("number_width"),
                                row.getString("number_prefix")),
                        row.getBoolean("numbers_frozen")),
                DirectionColumns.read(row),
                row.getInt("direction_version"),
                number(row, "target_lufs"),
                row.getString("name_pattern"),
                new Picture(
                        row.getString("frame_rate") == null ? null : FrameRate.named(row.getString("frame_rate")),
                        row.getLong("start_frame"),
                        row.getInt("least_gap_millis")),
                changed,
                row.getLong("content_version"),
                row.getLong("status_version"),
                row.getLong("house_version"));
    }
}
