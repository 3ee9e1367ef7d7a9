package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/**
 * Two servers while people save and cues are rendered, and again and again something dies or is cut off, at a moment that
 * nobody chose. How many times is {@code -Dfaults}; each run prints its seed, and {@code -Dfaults.seed} does the same again.
 */
@Isolated("servers of its own are killed")
class FaultsTest {

    private static final int FAULTS = Integer.getInteger("faults", 3);
    private static final int CUES = 14;
    private static final int LONGEST_WAIT_MILLIS = 2_500;
    private static final int LONGEST_CUT_SECONDS = Integer.getInteger("faults.cut", 8);
    private static final Duration WHOLE_AGAIN = Duration.ofSeconds(180);

    @TempDir
    private Path folder;

    private final String database = ServerProcess.newDatabase("faults");
    private final JdbcTemplate tables = ServerProcess.database(database);
    private int started;

    private enum Fault {
        SERVER_KILLED,
        WORKER_KILLED,
        NETWORK_CUT
    }

    private ServerProcess start(CutNetwork network) {
        return ServerProcess.start(
                database,
                folder.resolve("server" + started++ + ".log"),
                "--spring.datasource.url=" + ServerProcess.address(database, network.port()));
    }

    private static String script(int time, int fault) {
        return String.join(
                "\n\n",
                IntStream.range(0, CUES)
                        .mapToObj(i -> "In the %dth storm, watch %d of %d, the lamp was lit at four."
                                .formatted(fault, i, time))
                        .toList());
    }

    @Test
    void whatWasAcceptedIsThereAndNothingIsStuckOrDoneTwice() throws Exception {
        long seed = Long.getLong("faults.seed", System.nanoTime());
        System.out.println("Faults, seed " + seed);
        Random random = new Random(seed);
        int first = random.nextInt(Fault.values().length);
        try (CutNetwork network = new CutNetwork();
                ServerProcess stays = start(network)) {
            ServerProcess mayDie = start(network);
            try {
                Server here = stays.meet();
                Server there = mayDie.meet();
                String project = here.project("Faults", script(0, 0));
                for (int i = 1; i <= FAULTS; i++) {
                    // each kind as often as the others
                    Fault fault = Fault.values()[(first + i) % Fault.values().length];
                    String told = "seed " + seed + ", fault " + i + ": " + fault;
                    String text = script(1, i);
                    JsonNode saved = Server.parse(here.save(
                            project,
                            text,
                            here.json(project + "/script").get("version").asInt()));
                    assertThat(saved.get("version").isInt()).as(told).isTrue();
                    there.post(project + "/render", Map.of("step", "DIRECT"));
                    TimeUnit.MILLISECONDS.sleep(random.nextInt(LONGEST_WAIT_MILLIS));
                    switch (fault) {
                        case SERVER_KILLED -> {
                            List<ProcessHandle> workers = mayDie.workers();
                            mayDie.kill();
                            Server.await(
                                    told + ": its workers end with it",
                                    Duration.ofSeconds(20),
                                    () -> workers.stream().noneMatch(ProcessHandle::isAlive));
                            mayDie = start(network);
                            there = mayDie.meet();
                        }
                        case WORKER_KILLED -> stays.workers().forEach(ProcessHandle::destroyForcibly);
                        case NETWORK_CUT -> {
                            network.cut(true);
                            TimeUnit.MILLISECONDS.sleep(1_000 + random.nextInt(1_000 * LONGEST_CUT_SECONDS));
                            network.cut(false);
                        }
                    }
                    whole(here, there, project, text, told);
                }
            } finally {
                mayDie.close();
            }
        }
    }

    private void whole(Server here, Server there, String project, String text, String told) {
        Server.await(told + ": all is rendered", WHOLE_AGAIN, () -> here.ready(project) == CUES);
        for (Server server : List.of(here, there)) {
            assertThat(server.json(project + "/script?text=true").get("text").asString())
                    .as(told)
                    .isEqualTo(text);
        }
        assertThat(tables.queryForList("select cue_id from take group by cue_id, recipe having count(*) > 1"))
                .as(told + ": none is done twice")
                .isEmpty();
        assertThat(
                        tables.queryForList(
                                "select id from sound s where samples <> (select sum(length(content)) / (bits / 8) from sound_piece where sound_id = s.id)"))
                .as(told + ": sound is whole")
                .isEmpty();
        Server.await(
                told + ": nothing is stuck",
                Duration.ofSeconds(30),
                () -> tables.queryForObject("select count(*) from render_claim", Integer.class) == 0
                        && tables.queryForObject(
                                        "select count(*) from scheduled_tasks where task_name = 'render-lane'",
                                        Integer.class)
                                == 0);
    }
}
