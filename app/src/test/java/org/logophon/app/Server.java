package org.logophon.app;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import org.awaitility.Awaitility;
import org.awaitility.pollinterval.IterativePollInterval;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A client of a running application, as a browser would be one: cookies, the CSRF token, forms. */
public final class Server {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    public Server(String address) {
        this.address = address;
    }

    public String address() {
        return address;
    }

    public HttpResponse<String> get(String path) {
        return send(request(path).GET());
    }

    public HttpResponse<String> post(String path, Map<String, String> form) {
        if (token().isEmpty()) {
            get("/");
        }
        String body = form.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", token())
                .POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    /** Posts what stands behind the question mark as a form. */
    public HttpResponse<String> ask(String pathAndForm) {
        if (token().isEmpty()) {
            get("/");
        }
        String[] parts = pathAndForm.split("\\?", 2);
        return send(request(parts[0])
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("X-XSRF-TOKEN", token())
                .POST(HttpRequest.BodyPublishers.ofString(parts[1])));
    }

    /** The same, as JSON. */
    public JsonNode asked(String pathAndForm) {
        return parse(ask(pathAndForm));
    }

    public JsonNode json(String path) {
        return JSON.readTree(get(path).body());
    }

    public static JsonNode parsed(String json) {
        return JSON.readTree(json);
    }

    public static JsonNode parse(HttpResponse<String> response) {
        return JSON.readTree(response.body());
    }

    /** Makes a project with a script. @return its address, as in /projects/… */
    public String project(String name, String script) {
        String location = post("/projects", Map.of("name", name))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        String project = URI.create(location).getPath().replace("/write", "");
        if (save(project, script, 0).statusCode() != 200) {
            throw new AssertionError("The script of " + name + " was not saved.");
        }
        return project;
    }

    /** The address of a project by its name on the shelf. */
    String named(String name) {
        String shelf = get("/").body();
        int title = shelf.indexOf(">" + name + "<");
        int address = shelf.lastIndexOf("href=\"/projects/", title);
        if (title < 0 || address < 0) {
            throw new AssertionError("There is no project " + name + " on the shelf.");
        }
        return shelf.substring(shelf.indexOf('/', address), shelf.indexOf("/write", address));
    }

    public HttpResponse<String> save(String project, String script, int version) {
        return send(request(project + "/script")
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token())
                .PUT(HttpRequest.BodyPublishers.ofString(
                        JSON.writeValueAsString(Map.of("text", script, "version", version)))));
    }

    public JsonNode cues(String project) {
        return json(project + "/programme").get("cues");
    }

    /** Cues that are ready; −1 while the database is away, which the server must say with 503. */
    public long ready(String project) {
        HttpResponse<String> programme = get(project + "/programme");
        if (programme.statusCode() == 503) {
            return -1;
        }
        if (programme.statusCode() != 200) {
            throw new AssertionError(programme.statusCode() + ": " + programme.body());
        }
        long ready = 0;
        for (JsonNode cue : parse(programme).get("cues")) {
            ready += cue.get("state").asString().equals("ready") ? 1 : 0;
        }
        return ready;
    }

    public String version(String project, String cue, String level) {
        String page = get(project + "/direct?cue=" + cue).body();
        String form = page.substring(page.indexOf("id=\"level-" + level));
        return form.replaceAll("(?s).*?name=\"version\" value=\"(\\d+)\".*", "$1");
    }

    private static final Duration SOONEST = Duration.ofMillis(50);
    private static final Duration LATEST = Duration.ofMillis(400);

    /** For a machine ten times slower than this one: what is measured is never time. */
    private static final Duration PATIENCE = Duration.ofMinutes(6);

    /**
     * Waits for something that another process or thread does: asking costs it time, so the longer it lasts the less
     * often.
     */
    public static void await(String what, BooleanSupplier done) {
        Awaitility.await(what)
                .dontCatchUncaughtExceptions()
                .atMost(PATIENCE)
                .pollInterval(IterativePollInterval.iterative(
                        wait -> wait.multipliedBy(3).dividedBy(2).compareTo(LATEST) < 0
                                ? wait.multipliedBy(3).dividedBy(2)
                                : LATEST,
                        SOONEST))
                .until(done::getAsBoolean);
    }

    public HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    public byte[] bytes(String path) {
        try {
            return http.send(request(path).build(), HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException | InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(path.startsWith("http") ? path : address + path))
                .header("Accept", "text/html, application/json");
    }

    public String token() {
        return cookie("logophon-token-");
    }

    /** Value of a cookie whose name begins so; empty for none. */
    String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().startsWith(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    CookieManager cookies() {
        return cookies;
    }
}
