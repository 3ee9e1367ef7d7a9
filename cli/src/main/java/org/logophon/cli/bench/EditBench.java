package org.logophon.cli.bench;

import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.logophon.cli.InputUnusable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A running application: one word of a 200-cue project is changed, until the changed cue can be played. */
final class EditBench {

    private static final int CUES = 200;
    private static final double BUDGET_SECONDS = 0.5;

    private final String server;
    private final JsonMapper json = JsonMapper.builder().build();
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).build();

    EditBench(String server) {
        this.server = server;
    }

    Row run() throws Exception {
        send("GET", "/", null, null);
        String page = send("POST", "/projects", "name=Bench", "application/x-www-form-urlencoded").headers().firstValue("Location").orElseThrow();
        String project = URI.create(page).getPath().replace("/write", "");
        StringBuilder script = new StringBuilder();
        for (int i = 0; i < CUES; i++) {
            script.append("The keeper wrote one line for the weather on day ").append(i).append(", and one line for the lamp.\n\n");
        }
        int version = save(project, script.toString(), 0);
        renderAll(project, 0);
        double best = Double.MAX_VALUE;
        String text = script.toString();
        for (String word : new String[] {"storm", "squall", "thunder"}) {
            text = text.replaceFirst("the (weather|storm|squall)( on day 100,)", "the " + word + "$2");
            long start = System.nanoTime();
            version = save(project, text, version);
            renderAll(project, 1);
            best = Math.min(best, (System.nanoTime() - start) / 1e9);
        }
        return new Row("one word changed in 200 cues, until it plays", "0.5 s", best, BUDGET_SECONDS, "s", 1);
    }

    private int save(String project, String text, int version) throws Exception {
        String body = json.writeValueAsString(Map.of("text", text, "version", version));
        return json.readTree(send("PUT", project + "/script", body, "application/json").body()).get("version").asInt();
    }

    /** Renders what changed, waits for it, and fetches the sound of the last cue that came out. @param expected renders, 0 for any */
    private void renderAll(String project, int expected) throws Exception {
        JsonNode before = programme(project);
        int changed = 0;
        for (JsonNode cue : before.get("cues")) {
            changed += cue.get("state").asString().equals("state-ready") ? 0 : 1;
        }
        if (expected > 0 && changed != expected) {
            throw new InputUnusable("The bench changed one word and " + changed + " cues want a render; it should be " + expected + ".");
        }
        send("POST", project + "/render", "step=WRITE", "application/x-www-form-urlencoded");
        JsonNode now;
        do {
            now = programme(project);
        } while (now.get("rendering").asInt() > 0);
        for (int i = 0; i < CUES; i++) {
            boolean was = before.get("cues").get(i).get("state").asString().equals("state-ready");
            if (!was && expected > 0) {
                send("GET", now.get("cues").get(i).get("sound").asString(), null, null);
            }
        }
    }

    private JsonNode programme(String project) throws Exception {
        return json.readTree(send("GET", project + "/programme", null, null).body());
    }

    private HttpResponse<String> send(String method, String path, String body, String type) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(path.startsWith("http") ? path : server + path));
        String token = cookies.getCookieStore().getCookies().stream().filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue).findFirst().orElse("");
        request.header("X-XSRF-TOKEN", URLEncoder.encode(token, StandardCharsets.UTF_8)).header("Accept", "application/json, text/html");
        if (body != null) {
            request.header("Content-Type", type);
        }
        request.method(method, body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body));
        HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString(StandardCharsets.ISO_8859_1));
        if (response.statusCode() >= 400) {
            throw new InputUnusable(method + " " + path + " answered " + response.statusCode() + " in the bench.");
        }
        return response;
    }
}
