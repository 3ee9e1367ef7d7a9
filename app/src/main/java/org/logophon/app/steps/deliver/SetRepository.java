package org.logophon.app.steps.deliver;

import java.util.ArrayList;
import java.util.List;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.services.deliveries.Choice;
import org.logophon.app.services.deliveries.Choice.Named;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code delivery_set}: sets of parts that somebody named, for every project. */
@Repository
class SetRepository {

    private final JdbcClient jdbc;
    private final Visits visits;

    SetRepository(JdbcClient jdbc, Visits visits) {
        this.jdbc = jdbc;
        this.visits = visits;
    }

    /** Those for common ends, then one's own by their names. */
    List<Named> all() {
        List<Named> all = new ArrayList<>(Choice.SETS);
        all.addAll(jdbc.sql("select name, choice from delivery_set where workspace_id = :workspace order by "
                        + "lower(name), name")
                .param("workspace", visits.workspace())
                .query((row, at) -> new Named("", row.getString("name"), Choice.read(row.getString("choice"))))
                .list());
        return all;
    }

    /** A set of the same name is replaced. */
    void keep(String name, Choice choice) {
        jdbc.sql("""
                insert into delivery_set (workspace_id, name, choice) values (:workspace, :name, cast(:choice as jsonb))
                on conflict (workspace_id, name) do update set choice = excluded.choice""")
                .param("workspace", visits.workspace())
                .param("name", name)
                .param("choice", choice.written())
                .update();
    }

    void remove(String name) {
        jdbc.sql("delete from delivery_set where workspace_id = :workspace and name = :name")
                .param("workspace", visits.workspace())
                .param("name", name)
                .update();
    }
}
