package org.logophon.app;

import java.io.IOException;
import java.io.OutputStream;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DriverManagerDataSource;

/**
 * A PostgreSQL of its own that may be torn away, on a disk of its own that may be full, with a clock of its own that
 * may jump.
 */
final class MortalDatabase implements AutoCloseable {

    private static final boolean ROOT = "root".equals(System.getProperty("user.name"));

    private final Path home;
    private final Path disk;
    private final Path cluster;
    private final Path filler;
    private final Map<String, String> clock;
    private final int port;
    private final boolean ownDisk;
    private Process process;

    /**
     * @param home which its user may enter.
     * @param diskMegabytes of its disk
     * @param clock what shows its processes another time
     */
    MortalDatabase(Path home, int diskMegabytes, Map<String, String> clock) throws Exception {
        this.home = home;
        this.clock = clock;
        disk = Files.createDirectories(home.resolve("disk"));
        cluster = disk.resolve("cluster");
        filler = disk.resolve("filler");
        // who may not make a disk has the machine's own, which isn't filled
        ownDisk = ROOT
                && run(List.of(
                                "mount",
                                "-t",
                                "tmpfs",
                                "-o",
                                "mode=777,size=" + diskMegabytes + "m",
                                "tmpfs",
                                disk.toString()))
                        == 0;
        if (ROOT) {
            run(List.of("chown", "postgres", disk.toString()));
        }
        port = Launched.freePort();
        require(asOwner(
                "initdb",
                "-D",
                cluster.toString(),
                "-U",
                "logophon",
                "-A",
                "trust",
                "-E",
                "UTF8",
                "--locale=C.UTF-8",
                "--no-sync"));
        start();
    }

    boolean hasOwnDisk() {
        return ownDisk;
    }

    Path disk() {
        return disk;
    }

    URI address() {
        return URI.create("postgresql://127.0.0.1:" + port + "/postgres");
    }

    JdbcTemplate tables() {
        return new JdbcTemplate(new DriverManagerDataSource("jdbc:" + address(), "logophon", ""));
    }

    private static Path bin(String program) throws IOException {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.max(Comparator.naturalOrder())
                    .orElseThrow()
                    .resolve("bin")
                    .resolve(program);
        }
    }

    /** PostgreSQL refuses to be root. */
    private List<String> asOwner(String program, String... words) throws IOException {
        List<String> command = new ArrayList<>();
        if (ROOT) {
            command.addAll(List.of("setpriv", "--reuid", "postgres", "--regid", "postgres", "--init-groups"));
        }
        command.add("env");
        clock.forEach((name, value) -> command.add(name + "=" + value));
        command.add(bin(program).toString());
        command.addAll(List.of(words));
        return command;
    }

    private int run(List<String> command) throws IOException, InterruptedException {
        return new ProcessBuilder(command)
                .directory(home.toFile())
                .redirectErrorStream(true)
                .redirectOutput(
                        ProcessBuilder.Redirect.appendTo(home.resolve("told").toFile()))
                .start()
                .waitFor();
    }

    private void require(List<String> command) throws Exception {
        if (run(command) != 0) {
            throw new IllegalStateException(command + " failed: " + Launched.read(home.resolve("told")));
        }
    }

    /**
     * Starts it where it doesn't run, and waits until it answers. What a killed one has left may hold it up for a
     * moment.
     */
    void start() throws Exception {
        Server.await("PostgreSQL answers", () -> {
            try {
                if (process == null || !process.isAlive()) {
                    ProcessBuilder builder = new ProcessBuilder(asOwner(
                                    "postgres",
                                    "-D",
                                    cluster.toString(),
                                    "-p",
                                    Integer.toString(port),
                                    "-c",
                                    "listen_addresses=127.0.0.1",
                                    "-c",
                                    "unix_socket_directories=",
                                    "-c",
                                    "fsync=off",
                                    "-c",
                                    "max_wal_size=64MB",
                                    "-c",
                                    "min_wal_size=32MB"))
                            .directory(home.toFile())
                            .redirectErrorStream(true)
                            .redirectOutput(ProcessBuilder.Redirect.appendTo(
                                    home.resolve("told").toFile()));
                    process = builder.start();
                }
                DriverManager.getConnection("jdbc:" + address(), "logophon", "").close();
                return true;
            } catch (SQLException notYet) {
                return false;
            } catch (IOException e) {
                throw new java.io.UncheckedIOException(e);
            }
        });
    }

    /** At once, with all that it was about to write down. */
    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    /** What is asked and written waits, as for a disk that is busy with something else. */
    void hold(boolean still) throws Exception {
        List<String> command = new ArrayList<>(List.of("kill", still ? "-STOP" : "-CONT"));
        Stream.concat(Stream.of(process.toHandle()), process.descendants())
                .forEach(one -> command.add(Long.toString(one.pid())));
        // one of them may have ended by now
        run(command);
    }

    /** Fills its disk. @param leaving bytes */
    void fill(long leaving) throws IOException {
        byte[] block = new byte[1 << 16];
        try (OutputStream out = Files.newOutputStream(filler, StandardOpenOption.CREATE)) {
            for (long free = free(); free > leaving; free = free()) {
                out.write(block, 0, (int) Math.min(block.length, free - leaving));
            }
        } catch (IOException full) {
            if (leaving > 0) {
                throw full;
            }
        }
    }

    private long free() throws IOException {
        return Files.getFileStore(disk).getUsableSpace();
    }

    void makeRoom() throws IOException {
        Files.deleteIfExists(filler);
    }

    @Override
    public void close() throws Exception {
        // SIGINT: it ends its clients' work, where SIGTERM would wait for them
        run(List.of("kill", "-INT", Long.toString(process.pid())));
        process.waitFor();
        if (ownDisk) {
            run(List.of("umount", disk.toString()));
        }
    }
}
