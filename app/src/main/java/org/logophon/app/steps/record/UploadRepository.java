package org.logophon.app.steps.record;

import static org.logophon.app.platform.table.Columns.constant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.audio.SoundColumns;
import org.logophon.app.platform.audio.StoredSound;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Table {@code recording_upload}. */
@Repository
class UploadRepository {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<List<Piece>> PIECES = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final Clock clock;

    UploadRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Where a file is on its way to be takes. */
    enum State {
        HEARING,
        CUTTING,
        CUT,
        TAKING,
        TAKEN,
        FAILED;

        String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** A cue as it is said in the file. @param take once it was made */
    record Piece(UUID cue, double from, double to, boolean wanted, UUID take, String problem) {

        Piece taken(UUID made, String sentence) {
            return new Piece(cue, from, to, wanted, made, sentence);
        }
    }

    /** @param problem why it failed; null while it hasn't */
    record Upload(
            UUID id,
            UUID project,
            String name,
            String role,
            StoredSound sound,
            State state,
            String problem,
            List<Piece> pieces) {}

    /** @param state HEARING or CUTTING */
    UUID add(UUID project, String name, String role, StoredSound sound, State state) {
        UUID id = UUID.randomUUID();
        jdbc.sql("""
                insert into recording_upload (id, project_id, name, role, sound_id, state, created_at)
                values (:id, :project, :name, :role, :sound, :state, :now)""")
                .param("state", state.id())
                .param("id", id)
                .param("project", project)
                .param("name", name)
                .param("role", role)
                .param("sound", sound.id())
                .param("now", time(clock.instant()))
                .update();
        return id;
    }

    Optional<Upload> find(UUID id) {
        return jdbc.sql("select u.*, w.sample_rate, w.samples, w.bits from recording_upload u left join "
                        + "sound w on w.id = u.sound_id where u.id = :id")
                .param("id", id)
                .query(UploadRepository::upload)
                .optional();
    }

    /** Those that wait for somebody, the latest first. */
    List<Upload> open(UUID project) {
        return jdbc.sql("""
                select u.*, w.sample_rate, w.samples, w.bits from recording_upload u left
                join sound w on w.id = u.sound_id
                where u.project_id = :project and u.state <> 'taken' order by u.created_at desc limit 20""")
                .param("project", project)
                .query(UploadRepository::upload)
                .list();
    }

    void set(UUID id, State state, List<Piece> pieces, String problem) {
        jdbc.sql("update recording_upload set state = :state, rows = cast(:rows as jsonb), problem "
                        + "= :problem where id = :id")
                .param("state", state.id())
                .param("rows", JSON.writeValueAsString(pieces))
                .param("problem", problem)
                .param("id", id)
                .update();
    }

    /** It isn't needed any more: its takes have sounds of their own. */
    void remove(UUID id) {
        jdbc.sql("delete from recording_upload where id = :id").param("id", id).update();
    }

    private static Upload upload(ResultSet row, int at) throws SQLException {
        return new Upload(
                uuid(row, "id"),
                uuid(row, "project_id"),
                row.getString("name"),
                row.getString("role"),
                SoundColumns.read(row),
                constant(row, "state", State.class),
                row.getString("problem"),
                JSON.readValue(row.getString("rows"), PIECES));
    }
}
