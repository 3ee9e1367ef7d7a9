package org.logophon.app.services.hired;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Clock;
import java.util.UUID;
import org.logophon.app.platform.people.Visits;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code agreement}. */
@Repository
class Agreements {

    private final JdbcClient jdbc;
    private final Visits visits;
    private final Clock clock;

    Agreements(JdbcClient jdbc, Visits visits, Clock clock) {
        this.jdbc = jdbc;
        this.visits = visits;
        this.clock = clock;
    }

    /** @param project null for the house */
    UUID make(UUID project, int characters) {
        UUID id = UUID.randomUUID();
        jdbc.sql("insert into agreement (id, workspace_id, project_id, agreed_characters, at) "
                        + "values (:id, coalesce((select workspace_id from project where id = :project), "
                        + ":workspace), :project, :characters, :now)")
                .param("id", id)
                .param("workspace", project == null ? visits.workspace() : null)
                .param("project", project)
                .param("characters", characters)
                .param("now", time(clock.instant()))
                .update();
        return id;
    }

    boolean isOf(UUID agreement, UUID project) {
        return jdbc.sql("select 1 from agreement where id = :id and project_id = :project")
                .param("id", agreement)
                .param("project", project)
                .query(Integer.class)
                .optional()
                .isPresent();
    }

    /** Counts characters before they are asked for. @return false when that is more than was agreed to */
    boolean count(UUID agreement, int characters) {
        return jdbc.sql("update agreement set asked_characters = asked_characters + :characters "
                                + "where id = :id and asked_characters + :characters <= agreed_characters")
                        .param("id", agreement)
                        .param("characters", characters)
                        .update()
                == 1;
    }

    /** Name of the project that pays; the house's for none. */
    String payer(UUID agreement) {
        return jdbc.sql("select coalesce(p.name, :house) from agreement a left join project p on p.id = "
                        + "a.project_id where a.id = :id")
                .param("house", Ledger.HOUSE)
                .param("id", agreement)
                .query(String.class)
                .single();
    }
}
