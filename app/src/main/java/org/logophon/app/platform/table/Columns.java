package org.logophon.app.platform.table;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.UUID;

/** Values of a row's columns, and of a statement's parameters, where JDBC knows the type under another name. */
public final class Columns {

    private Columns() {}

    /** An id; null for SQL's null. */
    public static UUID uuid(ResultSet row, String column) throws SQLException {
        return row.getObject(column, UUID.class);
    }

    /** A {@code timestamptz}; null for SQL's null. */
    public static Instant instant(ResultSet row, String column) throws SQLException {
        OffsetDateTime time = row.getObject(column, OffsetDateTime.class);
        return time == null ? null : time.toInstant();
    }

    /** The same as a parameter; null for null. */
    public static OffsetDateTime time(Instant instant) {
        return instant == null ? null : instant.atOffset(ZoneOffset.UTC);
    }

    /** A whole number; null for SQL's null, which {@code getInt} reads as zero. */
    public static Integer whole(ResultSet row, String column) throws SQLException {
        return row.getObject(column, Integer.class);
    }

    /** A number; null for SQL's null, which {@code getDouble} reads as zero. */
    public static Double number(ResultSet row, String column) throws SQLException {
        return row.getObject(column, Double.class);
    }

    /** A {@code text[]}; null for SQL's null. */
    public static List<String> texts(ResultSet row, String column) throws SQLException {
        Array array = row.getArray(column);
        return array == null ? null : List.of((String[]) array.getArray());
    }

    /** A constant that the table names in lower case. */
    public static <E extends Enum<E>> E constant(ResultSet row, String column, Class<E> type) throws SQLException {
        return Enum.valueOf(type, row.getString(column).toUpperCase(Locale.ROOT));
    }

    /** Whether a column has a value. */
    public static boolean has(ResultSet row, String column) throws SQLException {
        return row.getObject(column) != null;
    }
}
