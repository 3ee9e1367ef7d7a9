package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.logophon.app.FaultyHouse.Fault;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavReader;
import org.logophon.core.signal.wav.WavWriter;

/**
 * While somebody writes, cues are rendered, a recording is sent and a delivery is built, again and again something
 * dies, is cut off, is full, slow or lies, at a moment that nobody chose. Each kind has its turn; how many times is
 * {@code -Dfaults}. A run prints its seed, and {@code -Dfaults.seed} does the same again.
 */
@Execution(ExecutionMode.CONCURRENT)
class FaultsTest {

    private static final int FAULTS = Integer.getInteger("faults", Fault.values().length);
    private static final int CUES = 5;
    private static final int LONGEST_WAIT_MILLIS = 1_500;
    private static final int LONGEST_CUT_SECONDS = Integer.getInteger("faults.cut", 5);
    private static final int DISK_MEGABYTES = 500 + 4 * FAULTS;
    private static final Duration WHOLE_AGAIN = Duration.ofSeconds(180);
    private static final String SAID = "Fog till noon.";
    private static final Map<String, String> DELIVERY =
            Map.of("asked", "true", "parts", "clips", "format", "flac", "pattern", "{number}", "target", "-19");

    @TempDir
    private Path folder;

    private FaultyHouse house;
    private String rendered;
    private String delivered;
    private String recorded;
    private String hired;
    private String recordedCue;
    private Sound said;

    private static String script(int fault) {
        return String.join(
                "\n\n",
                IntStream.range(0, CUES)
                        .mapToObj(i -> "In the %dth storm, watch %d, the lamp was lit.".formatted(fault, i))
                        .toList());
    }

    @Test
    void whatWasAcceptedIsThereAndNothingIsStuckOrDoneTwice() throws Exception {
        long seed = Long.getLong("faults.seed", 1);
        System.out.println("Faults, seed " + seed);
        Random random = new Random(seed);
        int first = random.nextInt(Fault.values().length);
        try (FaultyHouse all = new FaultyHouse(folder, random, LONGEST_CUT_SECONDS, DISK_MEGABYTES)) {
            house = all;
            furnish();
            String words = house.here().project("Words", "Nothing yet.");
            try (Writer writer = new Writer(house::servers, words, "Nothing yet.", 1)) {
                for (int i = 1; i <= FAULTS; i++) {
                    // each kind as often as the others
                    Fault fault = Fault.values()[(first + i) % Fault.values().length];
                    String told = "seed " + seed + ", fault " + i + ": " + fault;
                    if (house.can(fault)) {
                        System.out.println(told);
                        during(fault, i, random, told);
                        writer.look(told);
                    } else {
                        System.out.println(told + " left out: this machine allows no disk of its own");
                    }
                }
            }
        }
    }

    private void furnish() throws Exception {
        Server here = house.here();
        rendered = here.project("Rendered", script(0));
        delivered = here.project("Delivered", "The lens came by sea.\n\nThe crew have one tide.");
        here.post(delivered + "/render", Map.of());
        recorded = here.project("Recorded", SAID);
        recordedCue = here.cues(recorded).get(0).get("id").asString();
        said = WavReader.read(PersonSaying.clearly(0.3, 0.3, SAID));
        hired = here.project("Hired", "Fog.");
        Server.await(
                "a hired voice is listed and cast",
                () -> here.post(hired + "/cast", Map.of("role", "Narrator", "voice", "hired-rosalind"))
                        .body()
                        .contains("speaks Narrator now"));
        Server.await("what is delivered is rendered", () -> here.ready(delivered) == 2);
    }

    private void during(Fault fault, int turn, Random random, String told) throws Exception {
        Server here = house.here();
        Server there = house.there();
        save(here, rendered, script(turn));
        if (turn % 2 == 0) {
            save(here, hired, "Fog " + turn + ".");
            assertThat(here.post(hired + "/render", Map.of("agreed", "100")).statusCode())
                    .isEqualTo(200);
        }
        there.post(rendered + "/render", Map.of());
        there.post(delivered + "/deliveries", DELIVERY);
        byte[] sound = saidAgain(turn);
        CompletableFuture<Void> recording = CompletableFuture.runAsync(() -> send(here, sound));
        TimeUnit.MILLISECONDS.sleep(random.nextInt(LONGEST_WAIT_MILLIS));
        house.let(fault, delivered, told);
        recording.get(WHOLE_AGAIN.toSeconds(), TimeUnit.SECONDS);
        whole(turn, told);
    }

    private static void save(Server server, String project, String text) {
        int version = server.json(project + "/script").get("version").asInt();
        assertThat(server.save(project, text, version).statusCode()).isEqualTo(200);
    }

    /** Another recording of the same words: a little softer each time. */
    private byte[] saidAgain(int turn) throws Exception {
        ByteArrayOutputStream wav = new ByteArrayOutputStream();
        WavWriter.write(said.amplified(1 - turn * 5e-4), SampleFormat.PCM_24, null, wav);
        return wav.toByteArray();
    }

    /** As the page does: what isn't accepted is sent again. */
    private void send(Server server, byte[] sound) {
        Server.await("a recording is accepted", () -> {
            try {
                HttpResponse<String> answer =
                        server.send(server.request(recorded + "/record/cues/" + recordedCue + "?name=1.wav")
                                .header("X-XSRF-TOKEN", server.token())
                                .setHeader("Accept", "application/json")
                                .header("Content-Type", "application/octet-stream")
                                .POST(HttpRequest.BodyPublishers.ofByteArray(sound)));
                assertThat(answer.statusCode() == 200
                                || answer.statusCode() == 503
                                || answer.statusCode() == 507
                                || answer.body().contains("Send it again"))
                        .as(answer.statusCode() + ": " + answer.body())
                        .isTrue();
                return answer.statusCode() == 200;
            } catch (IllegalStateException cutOff) {
                return false;
            }
        });
    }

    private int count(String sql) {
        return house.tables().queryForObject(sql, Integer.class);
    }

    private void whole(int turn, String told) {
        // what stopped with a sentence is asked for again, as that sentence says
        Server.await(told + ": all is rendered", () -> renderedOrAskedAgain(rendered, CUES));
        Server.await(told + ": what was hired is rendered", () -> turn == 1 || renderedOrAskedAgain(hired, 1));
        Server.await(
                told + ": what is delivered is built",
                () -> count("select count(*) from delivery where state = 'building'") == 0);
        for (Server server : house.servers()) {
            assertThat(server.json(rendered + "/script?text=true").get("text").asString())
                    .as(told)
                    .isEqualTo(script(turn));
        }
        assertThat(house.tables().queryForList("select problem from delivery where state <> 'ready'", String.class))
                .as(told + ": a delivery that isn't there says why")
                .doesNotContainNull();
        assertThat(house.tables()
                        .queryForList("select cue_id from take where cue_id <> '" + recordedCue
                                + "' group by cue_id, recipe having count(*) > 1"))
                .as(told + ": none is rendered twice")
                .isEmpty();
        assertThat(count("select count(*) from take where cue_id = '" + recordedCue + "'"))
                .as(told + ": each recording is there, once")
                .isEqualTo(turn);
        assertThat(house.tables()
                        .queryForList("select id from sound s where samples <> (select "
                                + "sum(length(content)) / (bits / 8) from sound_piece where sound_id "
                                + "= s.id)"))
                .as(told + ": sound is whole")
                .isEmpty();
        assertThat(house.charged())
                .as(told + ": what was paid is written down, once")
                .isEqualTo(count("select coalesce(sum(characters), 0) from charge where state = 'charged'"))
                .isEqualTo(count("select coalesce(sum(characters), 0) from charge"));
        Server.await(
                told + ": nothing is stuck",
                () -> count("select count(*) from render_claim") == 0
                        && count("select count(*) from scheduled_tasks where task_instance <> 'recurring'") == 0);
    }

    private boolean renderedOrAskedAgain(String project, int cues) {
        if (house.here().ready(project) == cues) {
            return true;
        }
        if (count("select count(*) from batch_cue where state = 'waiting'") == 0) {
            assertThat(house.tables()
                            .queryForList("select problem from batch_cue where state = 'failed'", String.class))
                    .doesNotContainNull();
            house.here().post(project + "/render", Map.of("agreed", "100"));
        }
        return false;
    }
}
