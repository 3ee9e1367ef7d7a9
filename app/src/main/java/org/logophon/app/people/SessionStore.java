package org.logophon.app.people;

import org.logophon.app.node.NodeSettings;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/** Sessions are in the database, so that they outlive a restart and hold on every node. One that isn't used for a fortnight ends. */
@Configuration
@ConditionalOnProperty(name = "logophon.people.on", havingValue = "true")
@EnableJdbcHttpSession(tableName = "session", maxInactiveIntervalInSeconds = SessionStore.FORTNIGHT_SECONDS)
class SessionStore {

    static final int FORTNIGHT_SECONDS = 14 * 24 * 3600;

    /** The ports of a machine share their cookies: each has its own name. */
    @Bean
    CookieSerializer cookies(NodeSettings settings) {
        DefaultCookieSerializer cookie = new DefaultCookieSerializer();
        cookie.setCookieName("logophon-session-" + settings.outsidePort());
        cookie.setUseHttpOnlyCookie(true);
        cookie.setSameSite("Lax");
        cookie.setCookieMaxAge(FORTNIGHT_SECONDS);
        return cookie;
    }

    @Bean
    PostgreSqlJdbcIndexedSessionRepositoryCustomizer twiceAtOnce() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }
}
