package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.logophon.standin.Temper;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.util.FileSystemUtils;

/**
 * Two servers, their database and the network between them, hired voices and a disk: all of which fail when they are
 * told to.
 */
final class FaultyHouse implements AutoCloseable {

    private static final Duration ANSWERS_WITHIN = Duration.ofSeconds(3);
    private static final long LEFT_ALONE_BYTES = 100 << 20;
    /** As far as its apostrophe, which a page writes in its own way. */
    private static final String DATABASE_AWAY = "The database doesn";

    private static final Temper SLOW = new Temper(0, 0, 0, 0, 3_000, 6_000);
    private static final Temper LYING = new Temper(0, 0, 0, 1, 0, 0);

    /** What can go wrong. */
    enum Fault {
        SERVER_KILLED,
        WORKER_KILLED,
        DATABASE_KILLED,
        NETWORK_CUT,
        DISK_FULL,
        DISK_SLOW,
        CLOCK_JUMPED,
        HIRED_GONE,
        HIRED_SLOW,
        HIRED_LYING
    }

    private final Path home = Launched.folder();
    private final Path folder;
    private final Random random;
    private final int longestCutSeconds;
    /** The only one that anything goes by. */
    private final JumpingClock clock;

    private final MortalDatabase database;
    private final CutNetwork network;
    private final ServerProcess stays;
    private final Set<ProcessHandle> met = new LinkedHashSet<>();
    private ServerProcess mayDie;
    private HiredStandIn hired;
    private Server here;
    private volatile Server there;
    private int started;

    FaultyHouse(Path folder, Random random, int longestCutSeconds, int diskMegabytes) throws Exception {
        this.folder = folder;
        this.random = random;
        this.longestCutSeconds = longestCutSeconds;
        clock = new JumpingClock(home.resolve("clock"));
        database = new MortalDatabase(home, diskMegabytes, clock.environment());
        network = new CutNetwork(database.address());
        hired = new HiredStandIn(0, Temper.CALM, folder.resolve("hired"));
        stays = start();
        mayDie = start();
        here = entered(stays);
        there = entered(mayDie);
    }

    private ServerProcess start() throws Exception {
        return ServerProcess.start(
                folder.resolve("server" + started++ + ".log"),
                List.of(
                        "--spring.datasource.url=jdbc:postgresql://127.0.0.1:" + network.port() + "/postgres",
                        "--spring.datasource.username=logophon",
                        "--spring.datasource.password=",
                        "--logophon.database-answers-within=" + ANSWERS_WITHIN.toSeconds() + "s",
                        "--logophon.data=" + database.disk(),
                        "--logophon.disk-least=" + LEFT_ALONE_BYTES + "B",
                        "--logophon.hired-address=" + hired.address(),
                        "--logophon.hired-key=" + HiredStandIn.KEY));
    }

    /** Whoever has looked at a page may send something. */
    private static Server entered(ServerProcess process) {
        Server server = process.meet();
        server.get("/");
        return server;
    }

    /** The one that stays. */
    Server here() {
        return here;
    }

    /** The one that may die, as it is now. */
    Server there() {
        return there;
    }

    List<Server> servers() {
        return List.of(here, there);
    }

    JdbcTemplate tables() {
        return database.tables();
    }

    /** Characters, as the service of the hired voices counts them. */
    long charged() {
        return hired.used();
    }

    /** @return false when this machine doesn't allow it */
    boolean can(Fault fault) {
        return fault != Fault.DISK_FULL || database.hasOwnDisk();
    }

    private void between(int least, int most) throws InterruptedException {
        TimeUnit.MILLISECONDS.sleep(least + random.nextInt(most - least));
    }

    /** Lets it happen, and mends it. What is seen meanwhile is looked at. */
    void let(Fault fault, String project, String told) throws Exception {
        List.of(stays, mayDie).forEach(server -> met.addAll(server.workers()));
        switch (fault) {
            case SERVER_KILLED -> killServer(told);
            case WORKER_KILLED -> stays.workers().forEach(ProcessHandle::destroyForcibly);
            case DATABASE_KILLED -> {
                database.kill();
                saysThatTheDatabaseIsAway(project, told);
                between(0, 2_000);
                database.start();
            }
            case NETWORK_CUT -> cutNetwork(project, told);
            case DISK_FULL -> fillDisk(project, told);
            case DISK_SLOW -> {
                for (int i = 0; i < 8; i++) {
                    database.hold(true);
                    between(100, 700);
                    database.hold(false);
                    between(20, 200);
                }
            }
            case CLOCK_JUMPED -> {
                clock.jump("+1h");
                between(2_000, 4_000);
                clock.jump("+0");
                between(1_000, 2_000);
            }
            case HIRED_GONE -> {
                int port = Integer.parseInt(hired.address().replaceAll(".*:", ""));
                hired.close();
                between(200, 4_000);
                hired = new HiredStandIn(port, Temper.CALM, folder.resolve("hired"));
            }
            case HIRED_SLOW, HIRED_LYING -> {
                hired.become(fault == Fault.HIRED_SLOW ? SLOW : LYING);
                between(1_000, 5_000);
                hired.become(Temper.CALM);
            }
        }
    }

    private void killServer(String told) throws Exception {
        List<ProcessHandle> workers = mayDie.workers();
        mayDie.kill();
        Server.await(told + ": its workers end with it", () -> workers.stream().noneMatch(Launched::runs));
        mayDie = start();
        there = entered(mayDie);
    }

    private void cutNetwork(String project, String told) throws Exception {
        try (EventStream page = new EventStream(here.address() + project + "/events")) {
            network.cut(true);
            long end = System.nanoTime()
                    + TimeUnit.MILLISECONDS.toNanos(8_000 + random.nextInt(1_000 * longestCutSeconds));
            Server.await(told + ": a page that is open is told", () -> page.toldAway(true));
            saysThatTheDatabaseIsAway(project, told);
            TimeUnit.NANOSECONDS.sleep(Math.max(0, end - System.nanoTime()));
            network.cut(false);
            Server.await(told + ": and told when it is over", () -> page.toldAway(false));
        }
    }

    private void fillDisk(String project, String told) throws Exception {
        boolean whole = random.nextBoolean();
        database.fill(whole ? 0 : LEFT_ALONE_BYTES / 2);
        HttpResponse<String> refused = here.post(project + "/render", Map.of());
        if (whole && refused.statusCode() == 503) {
            assertThat(refused.body()).as(told).contains(DATABASE_AWAY);
        } else {
            assertThat(refused.statusCode()).as(told).isEqualTo(507);
            assertThat(refused.body()).as(told).contains("There is no room on the disk");
        }
        readable(project, told, whole);
        between(0, 2_000);
        database.makeRoom();
        // one that couldn't write down what it does has stopped
        database.start();
    }

    /** What is there can be looked at all the same. @param maybeAway true where the database may have stopped */
    private void readable(String project, String told, boolean maybeAway) {
        for (String page : List.of("/", "/write", "/cast", "/direct", "/listen", "/place", "/deliver")) {
            HttpResponse<String> read = here.get(page.equals("/") ? page : project + page);
            if (!maybeAway || read.statusCode() != 503) {
                assertThat(read.statusCode())
                        .as(told + ": " + page + " on a full disk")
                        .isEqualTo(200);
            }
        }
    }

    /** What somebody sees who looks at a page now. */
    private void saysThatTheDatabaseIsAway(String project, String told) {
        HttpResponse<String> page = here.get(project + "/direct");
        assertThat(page.statusCode()).as(told).isEqualTo(503);
        assertThat(page.body()).as(told).contains(DATABASE_AWAY);
    }

    /** With whatever it has started: no process is left over. */
    @Override
    public void close() throws Exception {
        List.of(stays, mayDie).forEach(server -> met.addAll(server.workers()));
        mayDie.close();
        stays.close();
        hired.close();
        network.close();
        database.close();
        FileSystemUtils.deleteRecursively(home);
        Server.await("no process is left over", () -> met.stream().noneMatch(Launched::runs));
    }
}
