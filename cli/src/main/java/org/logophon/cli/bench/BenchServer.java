package org.logophon.cli.bench;

import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Iterator;
import java.util.Map;
import java.util.stream.Stream;
import org.logophon.cli.input.InputUnusable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A running application, asked as a browser would. */
final class BenchServer {

    private final String address;
    private final JsonMapper json = JsonMapper.builder().build();
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    BenchServer(String address) {
        this.address = address;
    }

    /** Makes a project. @return its address, as in /projects/… */
    String project(String name) throws Exception {
        send("GET", "/", null, null);
        String page = send("POST", "/projects", "name=" + name, "application/x-www-form-urlencoded")
                .headers()
                .firstValue("Location")
                .orElseThrow();
        return URI.create(page).getPath().replace("/write", "");
    }

    /** @return the new version */
    int save(String project, String text, int version) throws Exception {
        return version(put(project, script(text, version)));
    }

    /** What saves a script over a version of it. */
    String script(String text, int version) {
        return json.writeValueAsString(Map.of("text", text, "version", version));
    }

    HttpResponse<String> put(String project, String script) throws Exception {
        return send("PUT", project + "/script", script, "application/json");
    }

    int version(HttpResponse<String> saved) {
        return json.readTree(saved.body()).get("version").asInt();
    }

    JsonNode made(String path, String form) throws Exception {
        return json.readTree(
                send("POST", path, form, "application/x-www-form-urlencoded").body());
    }

    JsonNode json(String path) throws Exception {
        return json.readTree(send("GET", path, null, null).body());
    }

    /** What a page is told of. */
    Events events(String path) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + path))
                .header("Accept", "text/event-stream")
                .build();
        return new Events(
                http.send(request, HttpResponse.BodyHandlers.ofLines()).body());
    }

    /** Lines of a stream of server-sent events (HTML, Living Standard, 9.2). */
    static final class Events implements AutoCloseable {

        private final Stream<String> lines;
        private final Iterator<String> coming;

        private Events(Stream<String> lines) {
            this.lines = lines;
            this.coming = lines.iterator();
        }

        /** Waits for the next event of this name whose data holds this. */
        void next(String name, String part) {
            String event = "";
            while (coming.hasNext()) {
                String[] field = coming.next().split(": ?", 2);
                if (field[0].equals("event")) {
                    event = field[1];
                } else if (field[0].equals("data") && event.equals(name) && field[1].contains(part)) {
                    return;
                }
            }
            throw new InputUnusable("The stream of events ended before the bench heard \"" + name + "\".");
        }

        /** Reads on until the stream ends, as an open page does. */
        void toTheEnd() {
            try {
                coming.forEachRemaining(line -> {});
            } catch (UncheckedIOException left) {
                // whoever leaves a page closes its stream
                lines.close();
            }
        }

        @Override
        public void close() {
            lines.close();
        }
    }

    /** How long an answer takes until its first byte is there; the rest isn't waited for. */
    double firstByteSeconds(String path) throws Exception {
        long began = System.nanoTime();
        HttpRequest request = HttpRequest.newBuilder(URI.create(address + path)).build();
        try (InputStream in =
                http.send(request, HttpResponse.BodyHandlers.ofInputStream()).body()) {
            if (in.read() < 0) {
                throw new InputUnusable(path + " was empty in the bench.");
            }
            return (System.nanoTime() - began) / 1e9;
        }
    }

    HttpResponse<String> send(String method, String path, String body, String type) throws Exception {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(path.startsWith("http") ? path : address + path));
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().startsWith("logophon-token-"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
        request.header("X-XSRF-TOKEN", URLEncoder.encode(token, StandardCharsets.UTF_8))
                .header("Accept", "application/json, text/html, text/plain");
        if (body != null) {
            request.header("Content-Type", type);
        }
        request.method(
                method, body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        HttpResponse<String> response =
                http.send(request.build(), HttpResponse.BodyHandlers.ofString(StandardCharsets.ISO_8859_1));
        if (response.statusCode() >= 400) {
            throw new InputUnusable(method + " " + path + " answered " + response.statusCode() + " in the bench.");
        }
        return response;
    }
}
