package org.logophon.app.node;

import java.time.OffsetDateTime;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;

/** The clock that everything goes by. */
@Configuration
class NodeConfiguration {

    @Bean
    HouseClock clock(JdbcClient jdbc) {
        return new HouseClock(
                jdbc.sql("select clock_timestamp()")
                        .query(OffsetDateTime.class)
                        .single()
                        .toInstant(),
                System::nanoTime);
    }
}
