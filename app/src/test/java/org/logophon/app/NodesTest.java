package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.jdbc.core.JdbcTemplate;

/** Three servers on one database, one of which answers no pages. */
@Execution(ExecutionMode.CONCURRENT)
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class NodesTest {

    private static final int CUES = 48;
    private static final int FEWER = 36;
    private static final int LEAST_EACH = 5;

    private static final String DATABASE = ServerProcess.emptyDatabase("nodes");
    private static final JdbcTemplate TABLES = ServerProcess.database(DATABASE);

    private static ServerProcess first;
    private static ServerProcess second;
    private static ServerProcess worker;
    private static Server here;
    private static Server there;
    private static String project;

    @BeforeAll
    static void start(@TempDir Path folder) {
        // at once: the tables of the empty database are made by one of them
        first = ServerProcess.start(DATABASE, folder.resolve("first.log"));
        second = ServerProcess.start(DATABASE, folder.resolve("second.log"));
        worker = ServerProcess.start(
                DATABASE, folder.resolve("worker.log"), "--server.port=-1", "--logophon.node.pages=false");
        here = first.meet();
        there = second.meet();
        worker.meetWorking();
    }

    @AfterAll
    static void stop() throws InterruptedException {
        for (ServerProcess server : List.of(first, second, worker)) {
            server.close();
        }
    }

    private static String script(String of, int cues) {
        return String.join(
                "\n\n",
                IntStream.range(0, cues)
                        .mapToObj(i -> "On %s %d the lamp was lit at four.".formatted(of, i))
                        .toList());
    }

    @Test
    @Order(1)
    @Execution(ExecutionMode.SAME_THREAD)
    void anEditOfOneShowsOnTheOthers() throws Exception {
        project = here.project("Shared", script("night", CUES));
        try (EventStream page = new EventStream(there.address() + project + "/events")) {
            assertThat(here.save(project, "What was written elsewhere.", 1).statusCode())
                    .isEqualTo(200);
            Server.await("an open page of the other is told", () -> page.told("content"));
        }
        assertThat(there.get(project + "/write").body()).contains("What was written elsewhere.");
        assertThat(there.save(project, script("night", CUES), 2).statusCode()).isEqualTo(200);
        assertThat(here.cues(project)).hasSize(CUES);
    }

    @Test
    @Order(2)
    @Execution(ExecutionMode.SAME_THREAD)
    void aVoiceOfTheHouseIsFoundOnAll() {
        String of = here.project("Voices", "The lamp is lit.");
        String made = Server.parse(here.post(
                        of + "/voices/house",
                        Map.of("base", "hamish", "name", "Keeper of the light", "tunePitch", "1")))
                .get("voice")
                .asString();
        Server.await(
                "the other has it",
                () -> there.get(of + "/cast?search=keeper").body().contains("data-voice=\"" + made + "\""));
    }

    @Test
    @Order(3)
    @Execution(ExecutionMode.SAME_THREAD)
    void threeShareARenderAndNothingIsDoneTwice() {
        here.post(project + "/render", Map.of("step", "DIRECT"));
        Server.await("all are rendered", () -> there.ready(project) == CUES);
        List<Integer> each = TABLES.queryForList("select count(*)::int from batch_cue group by node_id", Integer.class);
        assertThat(each).hasSize(3).allMatch(cues -> cues >= LEAST_EACH);
        once(CUES);
    }

    /** Each cue has one take, made of one speech, and nothing is left over. */
    private static void once(int cues) {
        assertThat(TABLES.queryForObject("select count(*) from take", Integer.class))
                .isEqualTo(cues);
        assertThat(TABLES.queryForObject("select count(*) from speech", Integer.class))
                .isEqualTo(cues);
        assertThat(TABLES.queryForObject("select count(*) from render_claim", Integer.class))
                .isZero();
        Server.await(
                "no lane is left",
                () -> TABLES.queryForList("select 1 from scheduled_tasks where task_name = 'render-lane'")
                        .isEmpty());
    }

    @Test
    @Order(4)
    @Execution(ExecutionMode.SAME_THREAD)
    void whatAKilledOneWasAtIsTakenOver() throws Exception {
        String more = here.project("Killed", script("day", FEWER));
        here.post(more + "/render", Map.of("step", "DIRECT"));
        List<Map<String, Object>> held = List.of();
        while (held.isEmpty()) {
            assertThat(TABLES.queryForObject("select count(*) from take", Integer.class))
                    .as("one of the cues is still to be made")
                    .isLessThan(CUES + FEWER);
            held = TABLES.queryForList("""
                    select c.batch_id, c.cue_id, c.holder from render_claim c join scheduled_tasks t on t.task_instance
                    = c.lane
                    join node n on t.picked_by = 'app-' || n.id where not n.pages""");
        }
        worker.kill();
        for (Map<String, Object> claim : held) {
            Server.await(
                    "another has taken it over",
                    () -> TABLES.queryForObject(
                                    "select count(*) from render_claim where batch_id = ? and cue_id = ? "
                                            + "and holder = ?",
                                    Integer.class,
                                    claim.get("batch_id"),
                                    claim.get("cue_id"),
                                    claim.get("holder"))
                            == 0);
        }
        Server.await("all are rendered", () -> there.ready(more) == FEWER);
        once(CUES + FEWER);
    }
}
