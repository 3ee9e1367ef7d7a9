package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Supplier;
import tools.jackson.databind.JsonNode;

/**
 * Somebody who writes on and on, as the page saves it: what isn't accepted is sent again. Each save goes to another
 * server.
 */
final class Writer implements AutoCloseable {

    private static final long PAUSE_MILLIS = 250;

    private final Supplier<List<Server>> servers;
    private final String project;
    private final Thread hand = new Thread(this::write, "writer");
    private final AtomicReference<String> wrong = new AtomicReference<>();
    private volatile boolean resting;
    private volatile boolean rests;
    private volatile boolean over;
    private volatile String accepted;
    private int version;
    private int line;

    /** @param servers those that are there now */
    Writer(Supplier<List<Server>> servers, String project, String text, int version) {
        this.servers = servers;
        this.project = project;
        this.accepted = text;
        this.version = version;
        hand.setDaemon(true);
        hand.start();
    }

    private void write() {
        while (!over) {
            if (resting) {
                rests = true;
            } else {
                rests = false;
                String text = "Line %d of the log: the lamp was lit at four.".formatted(++line);
                for (int i = 0; !over && !saved(text, i); i++) {
                    pause();
                }
            }
            pause();
        }
    }

    private static void pause() {
        try {
            Thread.sleep(PAUSE_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** @return false when it is to be sent again */
    private boolean saved(String text, int turn) {
        try {
            List<Server> there = servers.get();
            Server server = there.get((line + turn) % there.size());
            HttpResponse<String> answer = server.save(project, text, version);
            if (answer.statusCode() == 200) {
                version = Server.parse(answer).get("version").asInt();
                accepted = text;
                return true;
            }
            if (answer.statusCode() == 409) {
                return acceptedUnheard(server, text);
            }
            if (answer.statusCode() != 503 && answer.statusCode() != 507) {
                wrong.compareAndSet(null, "A save was answered with " + answer.statusCode() + ": " + answer.body());
            }
            return false;
        } catch (RuntimeException gone) {
            // nobody there, or cut off before the answer came
            return false;
        }
    }

    /** A save whose answer was lost on its way: then its text is there. */
    private boolean acceptedUnheard(Server server, String text) {
        JsonNode there = server.json(project + "/script?text=true");
        String said = there.path("text").asString("");
        if (!said.equals(text) && !said.equals(accepted)) {
            wrong.compareAndSet(null, "There is \"" + said + "\" instead of \"" + accepted + "\" or \"" + text + "\".");
        }
        version = there.path("version").asInt();
        if (said.equals(text)) {
            accepted = text;
            return true;
        }
        return false;
    }

    /** Waits until what was begun is saved, looks whether every server has it, and goes on. */
    void look(String told) {
        resting = true;
        rests = false;
        Server.await(told + ": what is written is saved", () -> rests);
        assertThat(wrong.get()).as(told).isNull();
        for (Server server : servers.get()) {
            assertThat(server.json(project + "/script?text=true").get("text").asString())
                    .as(told)
                    .isEqualTo(accepted);
        }
        resting = false;
    }

    @Override
    public void close() throws InterruptedException {
        over = true;
        hand.interrupt();
        hand.join();
    }
}
