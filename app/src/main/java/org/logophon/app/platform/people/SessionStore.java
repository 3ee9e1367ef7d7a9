package org.logophon.app.platform.people;

import org.logophon.app.platform.node.NodeSettings;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.session.web.http.DefaultCookieSerializer;

/**
 * Sessions are in the database, so that they outlive a restart and hold on every node. One that isn't used for a
 * fortnight ends.
 */
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

    /**
     * That a session was used is written down once a minute, and not with every request: reading writes nothing else.
     */
    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> seldom() {
        return sessions -> sessions.setUpdateSessionQuery("""
                update %TABLE_NAME% s set session_id = now.session_id, last_access_time = now.last_access_time,
                  max_inactive_interval = now.max_inactive_interval, expiry_time = now.expiry_time,
                  principal_name = now.principal_name
                from (
                  select cast(? as text) as session_id, cast(? as bigint) as last_access_time,
                    cast(? as int) as max_inactive_interval, cast(? as bigint) as expiry_time,
                    cast(? as text) as principal_name) as now
                where s.primary_id = ? and (
                  s.session_id <> now.session_id or s.principal_name is distinct from now.principal_name
                  or s.max_inactive_interval <> now.max_inactive_interval
                  or s.last_access_time < now.last_access_time - 60000)""");
    }

    @Bean
    PostgreSqlJdbcIndexedSessionRepositoryCustomizer twiceAtOnce() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }
}
