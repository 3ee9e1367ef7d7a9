package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** People: how they come in, what they have, and how they are out again. */
class PeopleTest extends PeopleApplication {

    @Autowired
    private JdbcTemplate jdbc;

    private HttpResponse<String> signIn(Server server, String name, String phrase) {
        return server.post("/sign-in", Map.of("name", name, "phrase", phrase));
    }

    @Test
    void theLinkInTheLogMakesAnOwnerOnce() {
        Server keeper = keeper();
        assertThat(keeper.get("/").body())
                .contains("New project")
                .contains("Morwenna")
                .contains("Storage");
        HttpResponse<String> again = nobody().post(firstLink(), Map.of("name", "Somebody", "phrase", PHRASE));
        assertThat(again.statusCode()).isEqualTo(410);
        assertThat(jdbc.queryForObject(
                        "select count(*) from invitation where token_sha256 = ?",
                        Integer.class,
                        firstLink().replace("/join/", "")))
                .as("it is kept as a digest only")
                .isZero();
        assertThat(jdbc.queryForList("select phrase from person", String.class))
                .allSatisfy(kept -> assertThat(kept).startsWith("$2"));
    }

    @Test
    void whoIsNotSignedInSeesTheDoorAndIsLedBack() {
        String project = project(keeper(), "", "Behind the door", "A lamp.");
        HttpResponse<String> page = nobody().get(project + "/write?x=1");
        assertThat(page.statusCode()).isEqualTo(302);
        assertThat(page.headers().firstValue("Location").orElseThrow())
                .endsWith("/sign-in?then=%2Fprojects%2F" + project.replace("/projects/", "") + "%2Fwrite%3Fx%3D1");
        assertThat(nobody().send(nobody().request(project + "/programme").setHeader("Accept", "application/json"))
                        .statusCode())
                .isEqualTo(401);
        assertThat(sentence(nobody().post(project + "/render", Map.of()))).contains("You are signed out");
        Server again = nobody();
        String then = project + "/listen";
        assertThat(Server.parse(again.post("/sign-in", Map.of("name", "morwenna ", "phrase", PHRASE, "then", then)))
                        .get("address")
                        .asString())
                .isEqualTo(then);
        assertThat(again.get(then).statusCode()).isEqualTo(200);
        for (String elsewhere : new String[] {
            "//evil.example/", "https://evil.example", "/\\evil.example", "/\t/evil.example", "/\n/evil.example",
            "/\r\n/evil.example", " //evil.example", "/%09/evil.example", "/projects/..//evil.example",
                    "///evil.example",
            "/;//evil.example", "\u0000//evil.example", "javascript:evil.example", "/vendor/evil.example",
                    "/evil.example"
        }) {
            String typed = URLEncoder.encode(elsewhere, StandardCharsets.UTF_8);
            assertThat(nobody().get("/sign-in?then=" + typed).body())
                    .as(elsewhere)
                    .doesNotContain("evil.example");
            assertThat(Server.parse(nobody().post(
                                            "/sign-in",
                                            Map.of("name", "morwenna", "phrase", PHRASE, "then", elsewhere)))
                            .get("address")
                            .asString())
                    .as(elsewhere)
                    .isEqualTo("/");
        }
    }

    /** Unicode Technical Standard 39: what looks the same is the same. */
    @Test
    void namesThatLookAlikeAreOne() {
        String name = named("Carys Paul");
        comes(keeper(), "", "editor", name);
        for (String other : new String[] {
            name.toUpperCase(Locale.ROOT),
            name.replace("a", "\u0430"), // Cyrillic
            name.replace("C", "\uff23"), // full width
            name.replace("o", "\u03bf").replace("a", "\u0251"),
            name.replace(" ", "  ")
        }) {
            HttpResponse<String> joined =
                    nobody().post(invitation(keeper(), "", "editor"), Map.of("name", other, "phrase", PHRASE));
            assertThat(joined.statusCode()).as(other).isEqualTo(422);
            assertThat(sentence(joined)).contains("Choose another name");
        }
        for (String unseen : new String[] {"\u200b", "\u202e", "\u200f", "\ufeff", "\u2066", "\u00ad", "\ue000"}) {
            HttpResponse<String> joined = nobody().post(
                            invitation(keeper(), "", "editor"),
                            Map.of("name", named("Ida") + unseen + "x", "phrase", PHRASE));
            assertThat(joined.statusCode()).isEqualTo(422);
            assertThat(sentence(joined)).contains("characters that nobody sees");
        }
        assertThat(signIn(nobody(), "\uff23" + name.substring(1), PHRASE).statusCode())
                .as("their own name, in full width")
                .isEqualTo(200);
    }

    @Test
    void whoMayNotListenIsToldSoWhateverTheyAccept() {
        String project = project(keeper(), "", "Streamed", "A lamp.");
        for (String accept : new String[] {"text/event-stream", "text/html", "application/json", "*/*", "image/png"}) {
            assertThat(nobody().send(nobody().request(project + "/events").setHeader("Accept", accept))
                            .statusCode())
                    .as(accept)
                    .isIn(401, 302);
        }
        Server stranger = comes(keeper(), workspace(keeper(), named("Apart")), "editor", named("Apart"));
        assertThat(stranger.send(stranger.request(project + "/events").setHeader("Accept", "image/png"))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void wrongPassPhrasesHaveToWaitAndNamesAreNotTold() {
        String name = named("Wrong");
        comes(keeper(), "", "editor", name);
        for (String who : new String[] {name, named("Nobody")}) {
            for (int i = 0; i < 5; i++) {
                HttpResponse<String> wrong = signIn(nobody(), who, "not this one at all " + i);
                assertThat(wrong.statusCode()).isEqualTo(403);
                assertThat(sentence(wrong)).isEqualTo("Name or pass phrase is wrong.");
            }
            assertThat(signIn(nobody(), who, PHRASE).statusCode()).as(who).isEqualTo(429);
        }
        jdbc.update("update sign_in_try set wait_until = now() - interval '1 second'");
        assertThat(signIn(nobody(), name, "wrong again, for certain").statusCode())
                .isEqualTo(403);
        assertThat(sentence(signIn(nobody(), name, PHRASE)))
                .as("twice as long as the first time, but for what has passed")
                .containsPattern("Try again in (2\\d|30) seconds");
        jdbc.update("update sign_in_try set wait_until = now() - interval '1 second'");
        assertThat(signIn(nobody(), name, PHRASE).statusCode()).isEqualTo(200);
        assertThat(signIn(nobody(), name, "x".repeat(100)).statusCode())
                .as("counted anew; longer than bcrypt looks at")
                .isEqualTo(403);
    }

    @Test
    void manyWrongOnesAtOnceAreAsManyTries() {
        String name = named("Hurried");
        comes(keeper(), "", "editor", name);
        List<CompletableFuture<Integer>> tries = IntStream.range(0, 24)
                .mapToObj(i -> CompletableFuture.supplyAsync(
                        () -> signIn(nobody(), name, "a guess of many " + i).statusCode()))
                .toList();
        long looked = tries.stream()
                .map(CompletableFuture::join)
                .filter(status -> status == 403)
                .count();
        assertThat(looked).isLessThanOrEqualTo(5);
    }

    @Test
    void aNewPassPhraseAndSigningOutEverywhereEndTheOthers() {
        String name = named("Twice");
        Server here = comes(keeper(), "", "editor", name);
        Server there = nobody();
        signIn(there, name, PHRASE);
        assertThat(there.get("/me").statusCode()).isEqualTo(200);
        assertThat(here.post("/me/phrase", Map.of("now", "not mine, I fear", "phrase", "another one of some words"))
                        .statusCode())
                .isEqualTo(403);
        assertThat(sentence(here.post("/me/phrase", Map.of("now", PHRASE, "phrase", "too short"))))
                .contains("15 characters");
        assertThat(sentence(here.post("/me/phrase", Map.of("now", PHRASE, "phrase", "another one of some words"))))
                .contains("You are signed out everywhere else");
        assertThat(there.get("/me").statusCode()).isEqualTo(302);
        assertThat(here.get("/me").statusCode()).isEqualTo(200);
        assertThat(signIn(there, name, PHRASE).statusCode()).isEqualTo(403);
        assertThat(signIn(there, name, "another one of some words").statusCode())
                .isEqualTo(200);
        assertThat(here.post("/me/sign-out-everywhere", Map.of()).statusCode()).isEqualTo(200);
        assertThat(here.get("/me").statusCode()).isEqualTo(302);
        assertThat(there.get("/me").statusCode()).isEqualTo(302);
    }

    /** A session that was known before somebody signed in isn't theirs (session fixation). */
    @Test
    void signingInBeginsANewSession() {
        String name = named("Fixed");
        Server first = comes(keeper(), "", "editor", name);
        String before = first.cookie("logophon-session-");
        assertThat(before).isNotEmpty();
        signIn(first, name, PHRASE);
        assertThat(first.cookie("logophon-session-")).isNotEqualTo(before);
        first.post("/me/sign-out", Map.of());
        assertThat(first.get("/me").statusCode()).isEqualTo(302);
        assertThat(jdbc.queryForObject(
                        "select count(*) from session where session_id = ?",
                        Integer.class,
                        new String(Base64.getDecoder().decode(before))))
                .isZero();
    }

    @Test
    void invitationsAreUsedOnceTakenBackAndEnd() {
        Server owner = keeper();
        String workspace = workspace(owner, named("Invited"));
        String link = invitation(owner, workspace, "listener");
        assertThat(nobody().get(link).body()).contains("a listener").contains("hears, notes and approves");
        assertThat(sentence(nobody().post(link, Map.of("name", "MORWENNA", "phrase", PHRASE))))
                .isEqualTo("The name is taken: MORWENNA. Choose another name.");
        assertThat(nobody().post(link, Map.of("name", " ", "phrase", PHRASE)).statusCode())
                .isEqualTo(422);
        assertThat(nobody().post(link, Map.of("name", named("Short"), "phrase", "short"))
                        .statusCode())
                .isEqualTo(422);
        Server comes = nobody();
        String name = named("Tamsin");
        assertThat(comes.post(link, Map.of("name", name, "phrase", PHRASE)).statusCode())
                .isEqualTo(200);
        assertThat(nobody().post(link, Map.of("name", named("Late"), "phrase", PHRASE))
                        .statusCode())
                .isEqualTo(410);
        assertThat(owner.get(workspace + "/people").body()).contains(name);
        // taken back
        String back = invitation(owner, workspace, "editor");
        String list = owner.get(workspace + "/people/list").body();
        String id = list.replaceAll("(?s).*invitations/([0-9a-f-]{36})/take-back.*", "$1");
        owner.post(workspace + "/people/invitations/" + id + "/take-back", Map.of());
        assertThat(nobody().get(back).statusCode()).isEqualTo(410);
        // ended
        String late = invitation(owner, workspace, "editor");
        jdbc.update("update invitation set until = now() - interval '1 second' where ended_at is null");
        assertThat(nobody().get(late).statusCode()).isEqualTo(410);
        assertThat(nobody().get("/join/nothing").statusCode()).isEqualTo(404);
        // with a name that is here already, also for more than one has
        String more = invitation(owner, workspace, "editor");
        assertThat(comes.get(more).body()).contains("You are").contains("an editor");
        assertThat(comes.post(more + "/mine", Map.of()).statusCode()).isEqualTo(200);
        assertThat(comes.get(workspace).body()).contains("New project");
    }

    @Test
    void aForgottenPassPhraseIsChosenAnewByALink() {
        String name = named("Forgetful");
        Server person = comes(keeper(), "", "editor", name);
        UUID id = jdbc.queryForObject("select id from person where name = ?", UUID.class, name);
        String link = Server.parse(keeper().post("/people/members/" + id + "/phrase", Map.of()))
                .get("address")
                .asString();
        assertThat(nobody().post(link, Map.of("name", named("Thief"), "phrase", PHRASE))
                        .statusCode())
                .as("it is no invitation")
                .isEqualTo(422);
        assertThat(nobody().post(link + "/phrase", Map.of("phrase", "words that I remember"))
                        .statusCode())
                .isEqualTo(200);
        assertThat(person.get("/me").statusCode()).isEqualTo(302);
        assertThat(signIn(person, name, "words that I remember").statusCode()).isEqualTo(200);
        assertThat(nobody().post(link + "/phrase", Map.of("phrase", "words of somebody else"))
                        .statusCode())
                .isEqualTo(410);
    }

    /** As RFC 7239 has it of its forerunners, X-Forwarded-*: what the proxy in front was asked. */
    @Test
    void behindAProxyItKnowsHowItWasAsked() {
        Server outside = nobody();
        assertThat(outside.send(outside.request("/sign-in")
                                .header("X-Forwarded-Host", "narration.example")
                                .header("X-Forwarded-Proto", "http"))
                        .headers()
                        .firstValue("Location"))
                .as("others come by TLS only")
                .contains("https://narration.example/sign-in");
        HttpResponse<String> door = outside.send(outside.request("/sign-in")
                .header("X-Forwarded-Host", "narration.example")
                .header("X-Forwarded-Proto", "https"));
        assertThat(door.statusCode()).isEqualTo(200);
        assertThat(door.headers().allValues("Set-Cookie"))
                .anySatisfy(cookie -> assertThat(cookie).contains("logophon-token-", "Secure"));
        assertThat(door.headers().firstValue("Strict-Transport-Security")).isPresent();
        assertThat(outside.send(outside.request("/sign-in")
                                .header("X-Forwarded-Host", "other.example")
                                .header("X-Forwarded-Proto", "https"))
                        .statusCode())
                .as("a name that isn't ours")
                .isEqualTo(400);
        for (String path :
                new String[] {"/actuator/health", "/actuator/prometheus", "/actuator", "/%61ctuator/health"}) {
            for (String host : new String[] {"narration.example", "localhost", "127.0.0.1"}) {
                assertThat(outside.send(outside.request(path)
                                        .header("X-Forwarded-Host", host)
                                        .header("X-Forwarded-For", "127.0.0.1")
                                        .header("X-Forwarded-Proto", "https"))
                                .statusCode())
                        .as(path + " as " + host)
                        .isEqualTo(403);
            }
            assertThat(outside.get(path).statusCode())
                    .as(path + " without a proxy's word")
                    .isEqualTo(403);
        }
        HttpRequest.Builder enter = outside.request("/sign-in")
                .header("X-Forwarded-Host", "narration.example")
                .header("X-Forwarded-Proto", "https")
                .header("Origin", "https://evil.example")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("name=a&phrase=b"));
        assertThat(outside.send(enter).statusCode()).isEqualTo(403);
    }
}
