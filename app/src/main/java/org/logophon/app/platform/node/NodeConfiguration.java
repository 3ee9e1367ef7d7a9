package org.logophon.app.platform.node;

import java.time.OffsetDateTime;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The clock that everything goes by. */
@Configuration
class NodeConfiguration {

    @Bean
    DatabaseClock clock(JdbcClient jdbc) {
        return new DatabaseClock(
                jdbc.sql("select clock_timestamp()")
                        .query(OffsetDateTime.class)
                        .single()
                        .toInstant(),
                System::nanoTime);
    }
}
