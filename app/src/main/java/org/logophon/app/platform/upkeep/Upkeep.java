package org.logophon.app.platform.upkeep;

import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.RowMapper;

/** A part of the store that knows what it holds, and takes away what nobody needs. */
public interface Upkeep {

    /** What it holds now. */
    List<Held> held();

    /** Takes away what nobody needs at that time, in a transaction of its own; in the order of {@link #turn}. */
    default List<Removed> remove(Instant now) {
        return List.of();
    }

    /** Parts that others refer to come after those. */
    default int turn() {
        return 0;
    }

    /**
     * @param what  for people, as "takes"
     * @param rule  when it goes, as a sentence
     * @param bytes near enough
     */
    record Held(String what, String rule, long things, long bytes) {

        /** Of a row with {@code things} and {@code bytes}. */
        public static RowMapper<Held> counted(String what, String rule) {
            return (row, at) -> new Held(what, rule, row.getLong("things"), row.getLong("bytes"));
        }
    }

    /** @param what for people, as "auditions" */
    record Removed(String what, long things, long bytes) {}
}
