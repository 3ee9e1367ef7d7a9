package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.context.TestPropertySource;

/** The demo projects, placed once. */
@Execution(ExecutionMode.CONCURRENT)
@DirtiesContext
@TestPropertySource(properties = "logophon.demo=true")
class DemoTest extends ApplicationTest {

    private static final OtherDatabase DATABASE = OtherDatabase.create("demo");

    @DynamicPropertySource
    static void onADatabaseOfItsOwn(DynamicPropertyRegistry properties) {
        properties.add("spring.datasource.url", DATABASE::url);
    }

    private String lanternRoom;

    @Autowired
    private ConfigurableApplicationContext context;

    @Test
    void aSecondStartFindsThemAndDoesNotDoubleThem() {
        assertThat(titles()).isEqualTo(3);
        lanternRoom = server.named("The Lantern Room");
        assertThat(marksOf("Goleuni i'r rhai")).isEqualTo("in Welsh");
        assertThat(marksOf("Ffion Aldous has read")).isEqualTo("0.20 s, by Keeper");
        Server.await(
                "somebody has listened",
                () -> server.json(lanternRoom + "/notes").toString().contains("\"doneTake\":\"T2\""));
        var heard = server.cues(lanternRoom);
        assertThat(heard.get(0).get("reviewed").asString()).isEqualTo("approved");
        assertThat(heard.get(1).get("takes").asInt()).isEqualTo(3);
        assertThat(heard.get(4).get("reviewed").asString()).isEqualTo("changed since heard: loudness");
        Server.await(
                "the visitor's line was recorded and recast",
                () -> server.json(lanternRoom + "/record/cues?role=Visitor")
                        .get(0)
                        .get("told")
                        .asString()
                        .endsWith(", as recorded"));
        String wheel = server.named("Wheel True");
        Server.await(
                "somebody has delivered twice",
                () -> server.get(wheel + "/deliveries").body().contains("Changes only"));
        String second = server.get(wheel + "/deliveries").body().replaceAll("(?s).*?data-look=\"([^\"]+)\".*", "$1");
        assertThat(server.get(second).body()).contains("100_", "changed: words", "as before");
        String german = server.named("Wheel True (German)");
        assertThat(server.get(german + "/translation").body())
                .contains(
                        "Dein Rad eiert? In 50 Sekunden",
                        "to check",
                        "was: <span>That&#39;s a true wheel. Go and ride it.");
        Server.await("the German is rendered", () -> server.ready(german) == 10);
        server.save(lanternRoom, "NARRATOR: My own words now.", 1);
        server.post(server.named("Wheel True") + "/delete", Map.of());
        context.publishEvent(new ApplicationReadyEvent(new SpringApplication(), new String[0], context, null));
        assertThat(titles()).isEqualTo(2);
        assertThat(server.json(lanternRoom + "/script").get("words").asInt()).isEqualTo(4);
    }

    private String marksOf(String words) {
        for (var cue : server.cues(lanternRoom)) {
            if (cue.get("words").asString().startsWith(words)) {
                var marks = server.json(lanternRoom + "/cues/" + cue.get("id").asString() + "/marks")
                        .get("marks");
                return marks.valueStream()
                        .map(mark -> mark.get("label").asString())
                        .collect(java.util.stream.Collectors.joining(", "));
            }
        }
        throw new AssertionError("No cue says " + words + ".");
    }

    private long titles() {
        return java.util.regex.Pattern.compile("class=\"title\"[^>]*>(The Lantern Room|First Firing|Wheel True)<")
                .matcher(server.get("/").body())
                .results()
                .count();
    }
}
