package org.logophon.app.demo;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code demo_placed}: which demo projects this data folder has or had. */
@Repository
class DemoPlaced {

    private final JdbcClient jdbc;

    DemoPlaced(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @return true when it is the first time */
    boolean first(String script) {
        return jdbc.sql("insert into demo_placed (script) values (:script) on conflict do nothing")
                        .param("script", script)
                        .update()
                == 1;
    }
}
