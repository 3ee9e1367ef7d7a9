package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.whole;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.services.project.take.RecordingRepository;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.voice.recording.Cleaning;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;

/** Table {@code role}. A role that left the script keeps its row, so that its voice is there when it comes back. */
@Repository
public class RoleRepository {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final JdbcClient jdbc;

    RoleRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public List<Role> of(UUID project) {
        return jdbc.sql("select * from role where project_id = :project order by position")
                .param("project", project)
                .query(RoleRepository::role)
                .list();
    }

    public void add(UUID project, String name, int position, String voiceId) {
        jdbc.sql("insert into role (project_id, name, position, voice_id) values (:project, :name, "
                        + ":position, :voice) on conflict do nothing")
                .param("project", project)
                .param("name", name)
                .param("position", position)
                .param("voice", voiceId)
                .update();
    }

    public void cast(UUID project, String name, String voiceId) {
        jdbc.sql("update role set voice_id = :voice, version = version + 1 where project_id = "
                        + ":project and name = :name")
                .param("voice", voiceId)
                .param("project", project)
                .param("name", name)
                .update();
    }

    /** @return false when the role is no longer at that version: someone else changed it */
    public boolean direct(UUID project, String name, Direction direction, int version) {
        return jdbc.sql("update role set " + DirectionColumns.SET
                                + ", version = version + 1 where project_id = :project and name = "
                                + ":name and version = :version")
                        .params(DirectionColumns.parameters(direction))
                        .param("project", project)
                        .param("name", name)
                        .param("version", version)
                        .update()
                == 1;
    }

    /** @return false when the role is no longer at that version */
    public boolean rest(UUID project, String name, PauseDefaults pauseDefaults, int livelyPercent, int version) {
        return jdbc.sql("""
                update role set comma_millis = :comma, stop_millis = :stop,
                least_gap_millis = :least, lively_percent = :lively, version = version + 1
                where project_id = :project and name = :name and version = :version""")
                        .param("comma", pauseDefaults.commaMillis())
                        .param("stop", pauseDefaults.stopMillis())
                        .param("least", pauseDefaults.leastMillis())
                        .param("lively", livelyPercent)
                        .param("project", project)
                        .param("name", name)
                        .param("version", version)
                        .update()
                == 1;
    }

    /** How recordings of the role were cleaned last; empty when none was. */
    public Optional<Cleaning> cleaning(UUID project, String name) {
        return jdbc.sql("select cleaning from role where project_id = :project and name = :name and "
                        + "cleaning is not null")
                .param("project", project)
                .param("name", name)
                .query(String.class)
                .optional()
                .map(RecordingRepository::cleaning);
    }

    public void cleaned(UUID project, String name, Cleaning cleaning) {
        jdbc.sql("update role set cleaning = cast(:cleaning as jsonb) where project_id = :project and name = :name")
                .param("cleaning", JSON.writeValueAsString(cleaning))
                .param("project", project)
                .param("name", name)
                .update();
    }

    public void copy(UUID from, UUID to) {
        jdbc.sql("""
                insert into role (project_id, name, position, voice_id, comma_millis, stop_millis, least_gap_millis,
                lively_percent, cleaning, %1$s)
                select :to, name, position, voice_id, comma_millis, stop_millis, least_gap_millis, lively_percent,
                cleaning, %1$s
                from role where project_id = :from""".formatted(DirectionColumns.NAMES))
                .param("to", to)
                .param("from", from)
                .update();
    }

    private static Role role(ResultSet row, int at) throws SQLException {
        return new Role(
                row.getString("name"),
                row.getInt("position"),
                row.getString("voice_id"),
                DirectionColumns.read(row),
                new PauseDefaults(
                        whole(row, "comma_millis"), whole(row, "stop_millis"), whole(row, "least_gap_millis")),
                row.getInt("lively_percent"),
                row.getInt("version"));
    }
}
