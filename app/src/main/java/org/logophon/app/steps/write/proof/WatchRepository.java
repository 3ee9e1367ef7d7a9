package org.logophon.app.steps.write.proof;

import static org.logophon.app.platform.table.Columns.texts;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.people.Visits;
import org.logophon.core.review.proof.WatchWord;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code watch_word}: words to avoid, for the house. */
@Repository
class WatchRepository {

    private final JdbcClient jdbc;
    private final Visits visits;
    private final Clock clock;

    WatchRepository(JdbcClient jdbc, Visits visits, Clock clock) {
        this.jdbc = jdbc;
        this.visits = visits;
        this.clock = clock;
    }

    /** A word with its row's id. */
    record StoredWatchWord(UUID id, WatchWord word) {}

    List<StoredWatchWord> all() {
        return jdbc.sql("select * from watch_word where workspace_id = :workspace order by lower(avoid)")
                .param("workspace", visits.workspace())
                .query(WatchRepository::kept)
                .list();
    }

    void put(WatchWord word) {
        jdbc.sql("""
                insert into watch_word (id, workspace_id, avoid, instead, note, at)
                values (:id, :workspace, :avoid, :instead, :note, :now)
                on conflict (workspace_id, avoid) do update set instead = excluded.instead, note = excluded.note""")
                .param("id", UUID.randomUUID())
                .param("workspace", visits.workspace())
                .param("avoid", word.avoid())
                .param("instead", word.instead().toArray(String[]::new))
                .param("note", word.note())
                .param("now", time(clock.instant()))
                .update();
    }

    void remove(UUID id) {
        jdbc.sql("delete from watch_word where id = :id and workspace_id = :workspace")
                .param("id", id)
                .param("workspace", visits.workspace())
                .update();
    }

    private static StoredWatchWord kept(ResultSet row, int at) throws SQLException {
        return new StoredWatchWord(
                uuid(row, "id"), new WatchWord(row.getString("avoid"), texts(row, "instead"), row.getString("note")));
    }
}
