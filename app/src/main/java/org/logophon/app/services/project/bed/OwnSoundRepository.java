package org.logophon.app.services.project.bed;

import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.audio.SoundColumns;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code sound_file}. */
@Repository
public class OwnSoundRepository {

    private static final String SELECT =
            "select f.*, s.sample_rate, s.samples, s.bits from sound_file f join sound s on s.id = f.sound_id ";
    /** Those of a project are its versions' as well. */
    private static final String SEEN = "(f.workspace_id is null or f.project_id = :project"
            + " or f.project_id = (select version_of_id from project where id = :project) or f.project_id is null and"
            + " f.workspace_id = (select workspace_id from project where id = :project))";

    private final JdbcClient jdbc;
    private final Clock clock;

    OwnSoundRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What a project may use, in the order in which names are looked for. */
    public List<OwnSound> of(UUID project) {
        return jdbc.sql(SELECT + "where f.removed_at is null and " + SEEN
                        + " order by f.project_id is null, f.project_id <> :project, f.workspace_id "
                        + "is null, lower(f.name), f.id")
                .param("project", project)
                .query(OwnSoundRepository::sound)
                .list();
    }

    /** @param project in whose lists it is. Also one that was removed */
    public Optional<OwnSound> find(UUID project, UUID id) {
        return jdbc.sql(SELECT + "where f.id = :id and " + SEEN)
                .param("project", project)
                .param("id", id)
                .query(OwnSoundRepository::sound)
                .optional();
    }

    public boolean ships(String name) {
        return jdbc.sql("select count(*) from sound_file where workspace_id is null and name = :name")
                        .param("name", name)
                        .query(Long.class)
                        .single()
                > 0;
    }

    public void add(OwnSound sound) {
        jdbc.sql("""
                insert into sound_file (id, workspace_id, project_id, name, licence, sound_id, from_sample, to_sample,
                own_db, made_at)
                values (:id, :workspace, :project, :name, :licence, :sound, :from, :to, :own, :now)""")
                .param("id", sound.id())
                .param("workspace", sound.workspace())
                .param("project", sound.project())
                .param("name", sound.name())
                .param("licence", sound.licence())
                .param("sound", sound.sound().id())
                .param("from", sound.from())
                .param("to", sound.to())
                .param("own", sound.ownDb())
                .param("now", now())
                .update();
    }

    /** Until the transaction ends, nobody else changes it: two that change different things of it both do. */
    public void hold(UUID id) {
        jdbc.sql("select id from sound_file where id = :id for update")
                .param("id", id)
                .query(UUID.class)
                .optional();
    }

    public void set(OwnSound sound) {
        jdbc.sql("""
                update sound_file set project_id = :project, name = :name, licence = :licence, from_sample = :from,
                to_sample = :to, own_db = :own
                where id = :id""")
                .param("id", sound.id())
                .param("project", sound.project())
                .param("name", sound.name())
                .param("licence", sound.licence())
                .param("from", sound.from())
                .param("to", sound.to())
                .param("own", sound.ownDb())
                .update();
    }

    public void remove(UUID id, boolean removed) {
        jdbc.sql("update sound_file set removed_at = :at where id = :id")
                .param("id", id)
                .param("at", removed ? now() : null)
                .update();
    }

    /** In how many places of its workspace it is used. */
    public int uses(OwnSound sound) {
        return beds(sound, null) + marks(sound, null);
    }

    /** The same of one project. */
    public int usesIn(OwnSound sound, UUID project) {
        return beds(sound, project) + marks(sound, project);
    }

    /** In how many gaps it stands by its name. */
    public int marks(OwnSound sound) {
        return marks(sound, sound.project());
    }

    private int beds(OwnSound sound, UUID project) {
        return jdbc.sql("""
                select count(*) from bed b join project p on p.id = b.project_id where b.sound_file_id = :id
                and b.removed_at is null
                and p.deleted_at is null and (cast(:project as uuid) is null or p.id = :project)""")
                .param("id", sound.id())
                .param("project", project)
                .query(Integer.class)
                .single();
    }

    private int marks(OwnSound sound, UUID project) {
        return jdbc.sql("""
                select count(*) from mark m join cue c on c.id = m.cue_id join project p on p.id = c.project_id
                where m.kind = 'sound' and lower(substring(m.value from '^\\S+ \\S+ (.*)$')) = lower(:name)
                and c.removed_at is null
                and p.workspace_id = :workspace and p.deleted_at is null and (cast(:project as uuid) is null
                or p.id = :project)""")
                .param("name", sound.name())
                .param("workspace", sound.workspace())
                .param("project", project == null ? sound.project() : project)
                .query(Integer.class)
                .single();
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }

    static OwnSound sound(ResultSet row, int at) throws SQLException {
        return new OwnSound(
                uuid(row, "id"),
                uuid(row, "workspace_id"),
                uuid(row, "project_id"),
                row.getString("name"),
                row.getString("licence"),
                SoundColumns.read(row),
                row.getLong("from_sample"),
                row.getLong("to_sample"),
                row.getDouble("own_db"));
    }
}
