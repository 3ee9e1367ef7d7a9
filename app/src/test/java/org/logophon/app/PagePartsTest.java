package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;
import org.logophon.app.services.project.Project;

/** What pages are made of. */
class PagePartsTest extends ApplicationTest {

    private static final int WIDEST = 120;

    @Test
    void everythingAPageAsksForIsThere() {
        String project = server.project("Whole pages", "NARRATOR: One cue.\n\nAnother.");
        TreeSet<String> asked = new TreeSet<>();
        for (String page : List.of(
                "/",
                "/storage",
                "/ledger",
                project + "/write",
                project + "/cast",
                project + "/direct",
                project + "/deliver")) {
            for (Element part : Jsoup.parse(server.get(page).body()).select("script[src], link[href], img[src]")) {
                asked.add(part.attr(part.hasAttr("src") ? "src" : "href"));
            }
        }
        assertThat(asked)
                .hasSizeGreaterThan(20)
                .allSatisfy(address ->
                        assertThat(server.get(address).statusCode()).as(address).isEqualTo(200));
    }

    @Test
    void templatesStylesAndScriptsFitAScreen() throws IOException {
        try (Stream<Path> files = Stream.of("templates", "static/css", "static/js")
                .flatMap(folder -> walk(Path.of("src/main/resources", folder)))) {
            List<Path> all = files.filter(Files::isRegularFile).toList();
            assertThat(all).hasSizeGreaterThan(100);
            for (Path file : all) {
                assertThat(Files.readAllLines(file))
                        .as(file.toString())
                        .allSatisfy(line -> assertThat(line.length()).as(line).isLessThanOrEqualTo(WIDEST));
            }
        }
    }

    /** How much a field takes is what the server takes: templates know no limit of their own. */
    @Test
    void lengthsOfFieldsComeFromTheServer() throws IOException {
        for (Path file : list(Path.of("src/main/resources/templates")).toList()) {
            assertThat(Files.readString(file)).as(file.toString()).doesNotContainPattern("[^:]maxlength=");
        }
        assertThat(Jsoup.parse(server.get("/").body()).select("#name").attr("maxlength"))
                .isEqualTo(Integer.toString(Project.LONGEST_NAME));
    }

    private static Stream<Path> walk(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            return files.toList().stream();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }

    private static Stream<Path> list(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            return files.toList().stream();
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
