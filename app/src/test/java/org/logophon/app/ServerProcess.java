package org.logophon.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/** The application in a process of its own, which can be killed, on a database of its own. */
final class ServerProcess implements AutoCloseable {

    private final Process process;
    private final Path log;

    private ServerProcess(Process process, Path log) {
        this.process = process;
        this.log = log;
    }

    static DriverManagerDataSource source(String database) {
        return new DriverManagerDataSource(
                System.getenv("LOGOPHON_DATABASE_URL").replaceAll("/[^/]*$", "/" + database),
                System.getenv("LOGOPHON_DATABASE_USER"),
                System.getenv("LOGOPHON_DATABASE_PASSWORD"));
    }

    static JdbcTemplate database(String name) {
        return new JdbcTemplate(source(name));
    }

    /** Makes a database that has its tables already. @return its name */
    static String newDatabase(String name) {
        String made = nameOf(name);
        database("postgres")
                .execute("create database " + made + " template "
                        + QuickStart.get().database());
        return made;
    }

    /** Makes one without tables. @return its name */
    static String emptyDatabase(String name) {
        String made = nameOf(name);
        database("postgres").execute("create database " + made);
        return made;
    }

    /** One that no other test has. */
    static String nameOf(String name) {
        return name + "_" + Long.toString(System.nanoTime(), Character.MAX_RADIX);
    }

    /** Begins to start; {@link #meet} waits for it. */
    static ServerProcess start(String database, Path log, String... settings) {
        List<String> with = new ArrayList<>(
                List.of("--spring.datasource.url=" + source(database).getUrl()));
        with.addAll(List.of(settings));
        return start(log, with);
    }

    /** On the database that the settings name. */
    static ServerProcess start(Path log, List<String> settings) {
        return start(QuickStart.get(), log, settings);
    }

    static ServerProcess start(QuickStart quick, Path log, List<String> settings) {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-Xmx384m"));
        command.addAll(quick.options());
        command.addAll(List.of("-cp", quick.classpath()));
        command.addAll(List.of(Application.class.getName(), "--logophon.workers=1", "--logophon.measure-voices=false"));
        command.addAll(settings);
        if (command.stream().noneMatch(setting -> setting.startsWith("--server.port"))) {
            command.add("--server.port=0");
        }
        ProcessBuilder builder = new ProcessBuilder(command);
        try {
            return new ServerProcess(
                    builder.redirectErrorStream(true)
                            .redirectOutput(log.toFile())
                            .start(),
                    log);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Waits until it answers. */
    Server meet() {
        Server.await("the server is ready", () -> said().contains("is ready at"));
        return new Server(said().replaceAll("(?s).*ready at (http://localhost:\\d+).*", "$1"));
    }

    /** Waits until it does jobs, where it answers no pages. */
    void meetWorking() {
        Server.await("the server does jobs", () -> said().contains("answers no pages"));
    }

    String said() {
        try {
            return Files.readString(log);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Processes that it has started. */
    List<ProcessHandle> workers() {
        return process.descendants().toList();
    }

    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    @Override
    public void close() throws InterruptedException {
        process.destroy();
        process.waitFor();
    }
}
