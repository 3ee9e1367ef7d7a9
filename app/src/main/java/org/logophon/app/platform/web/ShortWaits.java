package org.logophon.app.platform.web;

import java.sql.Connection;
import java.sql.SQLException;
import java.time.Duration;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.stereotype.Component;

/**
 * Where the way to the database is cut nobody says so, and who has asked waits. A job may: it goes on when the way is
 * there again. A person is told after a moment, and so is whoever sends what they have written.
 */
@Component
class ShortWaits implements BeanPostProcessor {

    private final Environment settings;

    ShortWaits(Environment settings) {
        this.settings = settings;
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource pool
                ? new ForRequests(
                        pool, settings.getRequiredProperty("logophon.database-answers-within", Duration.class))
                : bean;
    }

    private static final class ForRequests extends DelegatingDataSource {

        private final int mostMillis;

        ForRequests(DataSource pool, Duration most) {
            super(pool);
            this.mostMillis = Math.toIntExact(most.toMillis());
        }

        /** The pool takes a connection back as it was. */
        @Override
        public Connection getConnection() throws SQLException {
            Connection connection = super.getConnection();
            if (RequestIds.underWay()) {
                connection.setNetworkTimeout(Runnable::run, mostMillis);
            }
            return connection;
        }
    }
}
