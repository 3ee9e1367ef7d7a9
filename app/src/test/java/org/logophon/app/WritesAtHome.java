package org.logophon.app;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Holds what is really sent to the database against what {@link SqlTest} finds in the source: also statements that are
 * put together while the application runs write a table only where that is done.
 */
final class WritesAtHome {

    private static final Logger LOG = LoggerFactory.getLogger(WritesAtHome.class);
    private static final String APPLICATION = "org.logophon.app.";

    /** Brings rows of all tables of a project in from its file. */
    private static final String BRINGS_IN = "steps.transfer";

    private static final Map<String, Set<String>> SLICES = SqlTest.slicesByTable();

    private WritesAtHome() {}

    static void check(String sql) {
        Matcher written = SqlTest.WRITES.matcher(sql);
        while (written.find()) {
            Set<String> home = SLICES.get(written.group(1));
            Optional<String> writer = home == null ? Optional.empty() : writer();
            if (writer.isPresent()
                    && !home.contains(writer.get())
                    && !writer.get().equals(BRINGS_IN)) {
                String told = "The table %s is written in %s and belongs to %s: %s"
                        .formatted(written.group(1), writer.get(), home, sql);
                LOG.error(told);
                throw new AssertionError(told);
            }
        }
    }

    /** The slice of the nearest class of the application; none where a test, or what it is built on, writes. */
    private static Optional<String> writer() {
        return StackWalker.getInstance(StackWalker.Option.RETAIN_CLASS_REFERENCE)
                .walk(frames -> frames.map(StackWalker.StackFrame::getDeclaringClass)
                        .filter(type -> type.getName().startsWith(APPLICATION))
                        .filter(type -> type != WritesAtHome.class
                                && !type.getName().startsWith(CountedQueries.class.getName()))
                        .findFirst())
                .filter(type -> !type.getProtectionDomain()
                        .getCodeSource()
                        .getLocation()
                        .getPath()
                        .contains("test-classes"))
                .map(type -> type.getName().substring(APPLICATION.length()))
                .filter(name -> name.indexOf('.') > 0)
                .map(SqlTest::slice);
    }
}
