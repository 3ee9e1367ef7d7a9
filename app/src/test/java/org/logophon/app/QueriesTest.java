package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A page asks the database as often for a long script as for a short one. */
class QueriesTest extends ApplicationTest {

    @Autowired
    private CountedQueries counted;

    private String project(int cues) {
        StringBuilder script = new StringBuilder();
        for (int i = 0; i < cues; i++) {
            script.append("The keeper wrote line ").append(i).append(" of the log.\n\n");
        }
        return server.project("Of " + cues, script.toString());
    }

    private int queries(String path) {
        String id = UUID.randomUUID().toString();
        assertThat(server.send(server.request(path)
                                .header(CountedQueries.HEADER, id)
                                .GET())
                        .statusCode())
                .as(path)
                .isLessThan(300);
        return counted.of(id);
    }

    private Map<String, Integer> pages(String project) {
        String cue = server.cues(project).get(1).get("id").asString();
        Map<String, Integer> pages = new LinkedHashMap<>();
        for (String page : new String[] {
            "/write",
            "/script",
            "/proof",
            "/cast",
            "/direct?cue=" + cue,
            "/cues/" + cue + "/marks",
            "/deliver",
            "/deliver/left-out",
            "/deliver/contents?pattern=%7Bnumber%7D&target=-19",
            "/programme",
            "/render?step=WRITE",
            "/counts",
            "/readings",
            "/versions"
        }) {
            // what is read for the first time is kept; what changes beside it, as measured voices, is read once more
            queries(project + page);
            pages.put(
                    page.replace(cue, "…"),
                    IntStream.range(0, 3)
                            .map(i -> queries(project + page))
                            .min()
                            .orElseThrow());
        }
        return pages;
    }

    @Test
    void everyPageAsksAsOftenForTwoThousandCuesAsForTwenty() {
        Map<String, Integer> few = pages(project(20));
        Map<String, Integer> many = pages(project(2_000));
        assertThat(many).isEqualTo(few);
        assertThat(few)
                .allSatisfy((page, queries) -> assertThat(queries).as(page).isBetween(1, 12));
    }

    @Test
    void theShelfAsksOnceForAllProjects() {
        project(3);
        project(4);
        int before = ofTheShelf();
        project(5);
        assertThat(ofTheShelf()).isEqualTo(before).isLessThanOrEqualTo(3);
    }

    /** The least of some: what other tests change beside this one is read once more. */
    private int ofTheShelf() {
        return IntStream.range(0, 8).map(i -> queries("/")).min().orElseThrow();
    }
}
