package org.logophon.app;

import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** A database of a test's own, beside the one that all others share. */
public final class OtherDatabase {

    private final String name;

    private OtherDatabase(String name) {
        this.name = name;
    }

    /** Empty. */
    public static OtherDatabase create(String what) {
        String name = what + "_" + UUID.randomUUID().toString().substring(0, 8);
        new JdbcTemplate(named("postgres")).execute("create database " + name);
        return new OtherDatabase(name);
    }

    public DriverManagerDataSource source() {
        return named(name);
    }

    String url() {
        return url(name);
    }

    private static String url(String name) {
        return System.getenv("LOGOPHON_DATABASE_URL").replaceAll("/[^/]*$", "/" + name);
    }

    private static DriverManagerDataSource named(String name) {
        return new DriverManagerDataSource(
                url(name), System.getenv("LOGOPHON_DATABASE_USER"), System.getenv("LOGOPHON_DATABASE_PASSWORD"));
    }
}
