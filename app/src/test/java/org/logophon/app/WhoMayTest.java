package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every address that the framework lists, asked by nobody, by who is in no workspace, by the owner of another one, by
 * listener, editor and owner, and by who also keeps the machine; held against {@code who-may.tsv}, which says what is
 * meant.
 */
class WhoMayTest extends PeopleApplication {

    private static final List<String> ASKING =
            List.of("nobody", "stranger", "other owner", "listener", "editor", "owner", "keeper");
    /** What names no row of a project: places, kinds, and what its own query looks for in the workspace. */
    private static final Set<String> NO_PARTS =
            Set.of("id", "stamp", "recipe", "voice", "version", "from", "which", "start", "position", "word", "term");

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mapping;

    private Map<String, String> listed() {
        Map<String, String> listed = new TreeMap<>();
        mapping.getHandlerMethods()
                .forEach((info, handler) -> info.getPatternValues().forEach(pattern -> {
                    if (handler.getBeanType().getPackageName().startsWith("org.logophon")) {
                        for (RequestMethod method : info.getMethodsCondition().getMethods()) {
                            listed.put(method + " " + pattern, pattern);
                        }
                    }
                }));
        return listed;
    }

    private static Map<String, List<String>> meant() throws IOException {
        Map<String, List<String>> meant = new LinkedHashMap<>();
        for (String line : Files.readAllLines(Path.of("src/test/resources/who-may.tsv"), StandardCharsets.UTF_8)) {
            if (!line.isBlank() && !line.startsWith("#")) {
                String[] cells = line.split("\t");
                meant.put(cells[0], List.of(cells).subList(1, cells.length));
            }
        }
        return meant;
    }

    private static String answer(Server who, String method, String path) {
        HttpRequest.Builder request = who.request(path)
                .header(PROBE, "yes")
                .setHeader("Accept", "application/json, text/event-stream")
                .header("X-XSRF-TOKEN", who.token())
                .method(method, HttpRequest.BodyPublishers.noBody());
        HttpResponse<String> answered = who.send(request);
        return answered.statusCode() == LET_IN ? "in" : Integer.toString(answered.statusCode());
    }

    @Test
    void everyAddressLetsInWhoIsMeantAndNobodyElse() throws IOException {
        Server keeper = keeper();
        String workspace = workspace(keeper, named("Asked"));
        String project = project(keeper, workspace, "Asked", "A lamp.");
        Server stranger = comes(keeper, workspace, "listener", named("Stranger"));
        stranger.post(workspace + "/people/leave", Map.of());
        String elsewhere = workspace(keeper, named("Elsewhere"));
        Map<String, Server> asking = new LinkedHashMap<>();
        asking.put("nobody", nobody());
        asking.get("nobody").get("/sign-in");
        asking.put("stranger", stranger);
        asking.put("other owner", comes(keeper, elsewhere, "owner", named("Other")));
        for (String role : List.of("listener", "editor", "owner")) {
            asking.put(role, comes(keeper, workspace, role, named(role)));
        }
        asking.put("keeper", keeper);
        assertThat(asking.keySet()).containsExactlyElementsOf(ASKING);
        Map<String, List<String>> meant = meant();
        Map<String, String> listed = listed();
        assertThat(listed.size()).isGreaterThan(250);
        assertThat(meant.keySet())
                .as("the table has every address, and no other")
                .isEqualTo(listed.keySet());
        List<String> wrong = new ArrayList<>();
        listed.forEach((address, pattern) -> {
            String path = pattern.replace("{id}", project.replace("/projects/", ""))
                    .replace("{workspace}", workspace.replace("/workspaces/", ""))
                    .replaceAll("\\{[a-z]+}", UUID.randomUUID().toString());
            String method = address.split(" ")[0];
            List<String> answers = new ArrayList<>();
            asking.values().forEach(who -> answers.add(answer(who, method, path)));
            if (!answers.equals(meant.get(address))) {
                wrong.add(address + " meant " + meant.get(address) + " answered " + answers);
            }
        });
        assertThat(wrong).isEmpty();
    }

    /** Whoever adds a kind of part to an address says whose it is. */
    @Test
    void whatAnAddressOfAProjectNamesIsKnownAsItsPart() throws IOException {
        String known = Files.readString(Path.of("src/main/java/org/logophon/app/services/project/ProjectParts.java"));
        Set<String> unknown = new TreeSet<>();
        listed().values().stream()
                .filter(pattern -> pattern.startsWith("/projects/{id}"))
                .forEach(pattern -> {
                    Matcher named = Pattern.compile("\\{([a-z]+)}").matcher(pattern);
                    while (named.find()) {
                        if (!NO_PARTS.contains(named.group(1)) && !known.contains("\"" + named.group(1) + "\"")) {
                            unknown.add(pattern);
                        }
                    }
                });
        assertThat(unknown).isEmpty();
    }

    /** What isn't a page of ours lets everybody in, and gives nothing of anybody's. */
    @Test
    void stylesAndScriptsAreForEverybody() {
        assertThat(nobody().get("/css/logophon.css").statusCode()).isEqualTo(200);
        assertThat(nobody().get("/js/app.js").statusCode()).isEqualTo(200);
        assertThat(nobody().get("/nothing/here").statusCode()).isEqualTo(404);
    }
}
