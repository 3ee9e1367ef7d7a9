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
        String body = json.writeValueAsString(Map.of("text", text, "version", version));
        return json.readTree(send("PUT", project + "/script", body, "application/json")
                        .body())
                .get("version")
                .asInt();
    }

    JsonNode json(String path) throws Exception {
        return json.readTree(send("GET", path, null, null).body());
    }

    HttpResponse<String> send(String method, String path, String body, String type) throws Exception {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(path.startsWith("http") ? path : address + path));
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
        request.header("X-XSRF-TOKEN", URLEncoder.encode(token, StandardCharsets.UTF_8))
                .header("Accept", "application/json, text/html");
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
