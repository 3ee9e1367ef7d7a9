package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;

/** The events of a stream as they come: its name, then its data. */
final class EventStream implements AutoCloseable {

    final List<String> events = new CopyOnWriteArrayList<>();
    private final InputStream body;

    EventStream(String address) throws Exception {
        HttpResponse<InputStream> response = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(address))
                                .header("Accept", "text/event-stream")
                                .build(),
                        HttpResponse.BodyHandlers.ofInputStream());
        assertThat(response.statusCode()).isEqualTo(200);
        assertThat(response.headers().firstValue("Content-Type").orElse("")).startsWith("text/event-stream");
        body = response.body();
        Thread reader = new Thread(() -> {
            try (BufferedReader lines = new BufferedReader(new InputStreamReader(body, StandardCharsets.UTF_8))) {
                String name = "";
                for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                    if (line.startsWith("event:")) {
                        name = line.substring(6);
                    } else if (line.startsWith("data:")) {
                        events.add(name + " " + line.substring(5));
                    }
                }
            } catch (IOException closed) {
                events.add("closed");
            }
        });
        reader.setDaemon(true);
        reader.start();
        Server.await("the stream begins", () -> !events.isEmpty());
    }

    boolean told(String kind) {
        return events.stream().anyMatch(event -> event.startsWith("changed") && event.contains("\"" + kind + "\""));
    }

    /** The last that it was told of the database. */
    boolean toldAway(boolean away) {
        return events.stream()
                .filter(event -> event.startsWith("away"))
                .reduce((one, later) -> later)
                .filter(event -> event.contains("\"sentence\":\"\"") != away)
                .isPresent();
    }

    @Override
    public void close() throws Exception {
        body.close();
    }
}
