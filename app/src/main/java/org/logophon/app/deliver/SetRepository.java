package org.logophon.app.deliver;

import java.util.ArrayList;
import java.util.List;
import org.logophon.app.deliver.Choice.Named;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code delivery_set}: sets of parts that somebody named, for every project. */
@Repository
class SetRepository {

    private final JdbcClient jdbc;

    SetRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Those for common ends, then one's own by their names. */
    List<Named> all() {
        List<Named> all = new ArrayList<>(Choice.SETS);
        all.addAll(jdbc.sql("select name, choice from delivery_set order by lower(name), name")
                .query((row, at) ->
                        new Named("", row.getString("name"), ChoiceRepository.read(row.getString("choice"))))
                .list());
        return all;
    }

    /** A set of the same name is replaced. */
    void keep(String name, Choice choice) {
        jdbc.sql("""
                insert into delivery_set (name, choice) values (:name, cast(:choice as jsonb))
                on conflict (name) do update set choice = excluded.choice""")
                .param("name", name)
                .param("choice", ChoiceRepository.written(choice))
                .update();
    }

    void remove(String name) {
        jdbc.sql("delete from delivery_set where name = :name")
                .param("name", name)
                .update();
    }
}
