package org.logophon.app.services.deliveries;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code delivery_choice}: what a project's next delivery holds. */
@Repository
public class ChoiceRepository {

    private final JdbcClient jdbc;

    ChoiceRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public Choice of(UUID project) {
        return jdbc.sql("select choice from delivery_choice where project_id = :project")
                .param("project", project)
                .query(String.class)
                .optional()
                .map(Choice::read)
                .orElse(Choice.USUAL);
    }

    void keep(UUID project, Choice choice) {
        jdbc.sql("""
                insert into delivery_choice (project_id, choice) values (:project, cast(:choice as jsonb))
                on conflict (project_id) do update set choice = excluded.choice""")
                .param("project", project)
                .param("choice", choice.written())
                .update();
    }

    /** The name of the project's folder, which stays once it has one. @param wished for the first time */
    String folder(UUID project, String wished) {
        jdbc.sql("update delivery_choice set folder = :folder where project_id = :project and folder is null")
                .param("folder", wished)
                .param("project", project)
                .update();
        return jdbc.sql("select folder from delivery_choice where project_id = :project")
                .param("project", project)
                .query(String.class)
                .single();
    }
}
