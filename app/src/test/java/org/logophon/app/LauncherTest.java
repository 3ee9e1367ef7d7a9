package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** The command that keeps database and application running, on a data folder of its own. */
@Execution(ExecutionMode.CONCURRENT)
class LauncherTest extends Launched {

    @Test
    void severalServersStandBehindOneAddressAndOneMayDie() throws Exception {
        int port = freePort();
        Path log = home.resolve("nodes.log");
        assertThat(run(port, log, Map.of(), "start", "--nodes", "12").waitFor()).isEqualTo(1);
        assertThat(read(log)).contains("Say how many servers, from 1 to 9");
        assertThat(run(port, log, Map.of(), "start", "--render-only").waitFor()).isEqualTo(1);
        assertThat(read(log)).contains("name the database that they work on with LOGOPHON_DATABASE_URL");

        Process launcher = run(port, log, Map.of("LOGOPHON_HEAP", "300m"), "start", "--nodes", "2");
        await("both are ready", () -> read(log).split("A server is ready on port", -1).length == 3);
        // the balancer asks each once a second whether it is
        await("the balancer knows them", () -> shelf(port) == 200);
        child(launcher, "org.logophon.app.Application").destroyForcibly();
        for (int i = 0; i < 20; i++) {
            assertThat(shelf(port)).as("request " + i).isEqualTo(200);
        }
        await("it comes again", () -> read(log).split("A server is ready on port", -1).length == 4);
        List<ProcessHandle> children = launcher.children().toList();
        launcher.destroy();
        launcher.waitFor();
        await("all of them end", () -> children.stream().noneMatch(LauncherTest::runs));
    }

    @Test
    void whatDiesComesAgainAndNothingIsLeftBehind() throws Exception {
        int port = freePort();
        Path log = home.resolve("first.log");
        Process launcher = launch(port, log, Map.of());
        await("the application is ready", () -> read(log).contains("is ready"));

        // a second one, on another port, is told who has the folder
        Path refused = home.resolve("second.log");
        Process second = launch(freePort(), refused, Map.of());
        assertThat(second.waitFor()).isEqualTo(1);
        assertThat(read(refused).strip().lines()).hasSize(1);
        assertThat(read(refused))
                .contains("already runs on the data folder " + data)
                .contains("process " + launcher.pid(), "http://localhost:" + port);
        assertThat(shelf(port)).isEqualTo(200);

        Path unset = home.resolve("unset.log");
        assertThat(launch(freePort(), unset, Map.of("LOGOPHON_MAIL_SERVER", "mail.example:post"))
                        .waitFor())
                .isEqualTo(1);
        assertThat(read(unset)).contains("LOGOPHON_MAIL_SERVER is \"mail.example:post\"; it is a name");

        // what is kept goes into one file while it runs
        new Server("http://localhost:" + port).project("Backed up", "The lamp was lit at four.");
        Path backup = home.resolve("all.backup");
        Path told = home.resolve("backup.log");
        assertThat(run(port, told, Map.of(), "backup", backup.toString()).waitFor())
                .as(read(told))
                .isZero();
        assertThat(Files.getPosixFilePermissions(backup))
                .containsExactlyInAnyOrder(PosixFilePermission.OWNER_READ, PosixFilePermission.OWNER_WRITE);
        assertThat(run(port, told, Map.of(), "backup", backup.toString()).waitFor())
                .isEqualTo(1);
        assertThat(read(told)).contains("is there already");
        assertThat(run(port, told, Map.of(), "restore", backup.toString()).waitFor())
                .isEqualTo(1);
        assertThat(read(told)).contains("has projects of its own");

        // the database is killed
        ProcessHandle database = child(launcher, "postgres");
        database.destroyForcibly();
        await("the database is gone", () -> !runs(database));
        await("the shelf is there again", () -> shelf(port) == 200);
        assertThat(read(log)).contains("The database ended by itself");

        // the application's memory is used up: this is the signal that it gives itself
        ProcessHandle application = child(launcher, "org.logophon.app.Application");
        assertThat(application.info().arguments().map(List::of).orElseThrow())
                .contains("-XX:OnOutOfMemoryError=kill -TERM %p");
        application.destroy();
        await("the application ends", () -> !runs(application));
        await("another application is begun", () -> read(log).contains("ran out of memory or was killed"));

        // the kernel kills all of them at once; that any of them may die, and twice, is tried on processes that do
        // nothing
        int ready = read(log).split("is ready", -1).length;
        List<ProcessHandle> together = launcher.descendants().toList();
        together.forEach(ProcessHandle::destroyForcibly);
        await("all are gone", () -> together.stream().noneMatch(LauncherTest::runs));
        await("all are there again", () -> read(log).split("is ready", -1).length > ready);
        assertThat(shelf(port)).isEqualTo(200);

        // the script is killed in the middle of a package
        Path half = Files.writeString(data.resolve("temporary/0/logophon-delivery1.zip"), "half");
        List<ProcessHandle> all = launcher.descendants().toList();
        assertThat(all).hasSizeGreaterThan(1);
        launcher.destroyForcibly().waitFor();
        await("everything ends", () -> all.stream().noneMatch(LauncherTest::runs));
        Path third = home.resolve("third.log");
        launch(port, third, Map.of());
        await("it starts again", () -> read(third).contains("is ready"));
        assertThat(half).doesNotExist();
        broughtBack(backup);
    }

    private void broughtBack(Path backup) throws Exception {
        Map<String, String> elsewhere =
                Map.of("LOGOPHON_DATA", home.resolve("elsewhere").toString());
        Path cut = Files.write(
                home.resolve("cut.backup"), Arrays.copyOf(Files.readAllBytes(backup), (int) Files.size(backup) / 2));
        Path told = home.resolve("restore.log");
        assertThat(run(freePort(), told, elsewhere, "restore", cut.toString()).waitFor())
                .isEqualTo(1);
        assertThat(read(told)).contains("could not be brought back", "as empty as it was");
        assertThat(run(freePort(), told, elsewhere, "restore", backup.toString())
                        .waitFor())
                .as(read(told))
                .isZero();
        int port = freePort();
        Path log = home.resolve("elsewhere.log");
        launch(port, log, elsewhere);
        await("what was brought back is ready", () -> read(log).contains("is ready"));
        assertThat(new Server("http://localhost:" + port).get("/").body()).contains("Backed up");
    }

    @Test
    void memoryThatIsUsedUpEndsTheProcessInOrder() throws Exception {
        Process hungry = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx32m",
                        "-XX:OnOutOfMemoryError=kill -TERM %p",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Hungry.class.getName())
                .redirectErrorStream(true)
                .start();
        String said = new String(hungry.getInputStream().readAllBytes());
        assertThat(hungry.waitFor()).isEqualTo(143);
        assertThat(said).contains("ended in order");
    }

    /** Takes all the memory there is, and says so when it is ended. */
    static final class Hungry {

        public static void main(String[] arguments) throws InterruptedException {
            Runtime.getRuntime().addShutdownHook(new Thread(() -> System.out.println("ended in order")));
            List<byte[]> held = new ArrayList<>();
            try {
                while (true) {
                    held.add(new byte[1 << 20]);
                }
            } catch (OutOfMemoryError all) {
                held.clear();
                Thread.sleep(60_000);
            }
        }
    }
}
