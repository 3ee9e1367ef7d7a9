package org.logophon.app.services.script;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The record of whether a project was ever delivered. */
@Component
public class DeliveryHistory {

    private final JdbcClient jdbc;

    DeliveryHistory(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public boolean ever(UUID project) {
        return jdbc.sql("select count(*) from delivery where project_id = :project")
                        .param("project", project)
                        .query(Integer.class)
                        .single()
                > 0;
    }
}
