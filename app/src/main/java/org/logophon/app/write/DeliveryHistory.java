package org.logophon.app.write;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Whether anything of a project was ever handed over. */
@Component
class DeliveryHistory {

    private final JdbcClient jdbc;

    DeliveryHistory(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    boolean ever(UUID project) {
        return jdbc.sql("select count(*) from delivery where project_id = :project")
                        .param("project", project)
                        .query(Integer.class)
                        .single()
                > 0;
    }
}
