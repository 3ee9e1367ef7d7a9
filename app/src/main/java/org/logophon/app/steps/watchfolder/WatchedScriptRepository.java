package org.logophon.app.steps.watchfolder;

import static org.logophon.app.platform.table.Columns.constant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.logophon.documents.WatchedScript.Looks;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code watched_folder} and {@code dropped_script}. */
@Repository
class WatchedScriptRepository {

    private final JdbcClient jdbc;
    private final Clock clock;

    WatchedScriptRepository(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** @param like project whose settings hold @param name of the folder under the root */
    record Watched(UUID like, String name) {}

    /** How far a script is. */
    enum State {
        SEEN,
        RENDERING,
        DELIVERING,
        ENDED;

        String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @param project that it became; null for none yet, or one that was deleted */
    record Row(String name, Looks looks, UUID project, State state) {

        Row in(State other) {
            return new Row(name, looks, project, other);
        }
    }

    /** Whose projects are on the shelf. */
    List<Watched> folders() {
        return jdbc.sql("select w.project_id, w.name from watched_folder w join project p on p.id = "
                        + "w.project_id where p.deleted_at is null order by w.name")
                .query((row, at) -> new Watched(uuid(row, "project_id"), row.getString("name")))
                .list();
    }

    Optional<Watched> of(UUID project) {
        return jdbc.sql("select name from watched_folder where project_id = :project")
                .param("project", project)
                .query(String.class)
                .optional()
                .map(name -> new Watched(project, name));
    }

    void watch(UUID project, String name) {
        jdbc.sql("insert into watched_folder (project_id, name, made_at) values (:project, :name, "
                        + ":now) on conflict (project_id) do nothing")
                .param("project", project)
                .param("name", name)
                .param("now", time(clock.instant()))
                .update();
    }

    void stop(UUID project) {
        jdbc.sql("delete from watched_folder where project_id = :project")
                .param("project", project)
                .update();
    }

    Optional<Row> script(UUID like, String name) {
        return jdbc.sql("select * from dropped_script where like_project_id = :like and name = :name")
                .param("like", like)
                .param("name", name)
                .query((row, at) -> new Row(
                        row.getString("name"),
                        new Looks(row.getLong("bytes"), row.getLong("changed_millis")),
                        uuid(row, "project_id"),
                        constant(row, "state", State.class)))
                .optional();
    }

    void save(UUID like, Row row) {
        jdbc.sql("""
                insert into dropped_script (like_project_id, name, bytes, changed_millis, project_id, state)
                values (:like, :name, :bytes, :changed, :project, :state)
                on conflict (like_project_id, name) do update set bytes =
                excluded.bytes, changed_millis = excluded.changed_millis,
                project_id = excluded.project_id, state = excluded.state, untold = null""")
                .param("like", like)
                .param("name", row.name())
                .param("bytes", row.looks().bytes())
                .param("changed", row.looks().changedMillis())
                .param("project", row.project())
                .param("state", row.state().id())
                .update();
    }

    /** What became of a script, where it can't be told beside it: nothing more is done for it until it changes. */
    void cannotBeTold(UUID like, String name, String sentence) {
        jdbc.sql("update dropped_script set state = :ended, untold = :sentence where "
                        + "like_project_id = :like and name = :name")
                .param("ended", State.ENDED.id())
                .param("sentence", sentence)
                .param("like", like)
                .param("name", name)
                .update();
    }

    List<String> untold(UUID like) {
        return jdbc.sql("select untold from dropped_script where like_project_id = :like and untold is not "
                        + "null order by name")
                .param("like", like)
                .query(String.class)
                .list();
    }

    /** What was told of scripts that have gone is told no more. @param names those that are there */
    void keepOnly(UUID like, List<String> names) {
        jdbc.sql("update dropped_script set untold = null where like_project_id = :like and untold "
                        + "is not null and name <> all (:names)")
                .param("like", like)
                .param("names", names.toArray(String[]::new))
                .update();
    }
}
