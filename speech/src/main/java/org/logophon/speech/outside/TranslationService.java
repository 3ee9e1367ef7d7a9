package org.logophon.speech.outside;

import java.math.BigDecimal;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.logophon.core.review.translation.GlossaryTerm;
import org.logophon.core.voice.render.SpeechFailed;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The client of a translation service, by the contract of {@code docs/translation.yaml}. */
public final class TranslationService {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Duration TERMS_PATIENCE = Duration.ofSeconds(3);
    private static final int TERMS_TRIES = 2;

    private final OutsideService service;

    /** @throws IllegalArgumentException with a sentence when the address is none */
    public TranslationService(String address, String key) {
        this.service = new OutsideService(
                address,
                key,
                new OutsideService.Words(
                        "The service of translation",
                        "LOGOPHON_TRANSLATION_KEY",
                        "The translation can't be paid.%s Wait for the next month, or import your own texts.",
                        "this text"));
    }

    /**
     * What it does and takes.
     *
     * @param pairs of languages, as "en-de"
     */
    public record Terms(BigDecimal pricePerCharacter, String currency, int mostCharacters, List<String> pairs) {

        /** @param from BCP 47 tag @param to as from */
        public boolean does(String from, String to) {
            return pairs.contains(from.split("-")[0] + "-" + to.split("-")[0]);
        }
    }

    /** @param text null where it has no translation for this: then nothing is charged */
    public record Translated(String text, int characters) {}

    /** Asked while somebody waits. @throws SpeechFailed with a sentence when it can't be asked */
    public Terms terms() {
        JsonNode answer = service.ask(
                service.request("v1/translation/terms")
                        .timeout(TERMS_PATIENCE)
                        .GET()
                        .build(),
                TERMS_TRIES);
        List<String> pairs = new ArrayList<>();
        answer.path("languages")
                .forEach(pair -> pairs.add(
                        pair.path("from").asString("") + "-" + pair.path("to").asString("")));
        return new Terms(
                new BigDecimal(answer.path("pricePerCharacter").asString("0")),
                answer.path("currency").asString(""),
                answer.path("mostCharacters").asInt(0),
                pairs);
    }

    /**
     * @param once   key under which it is charged once
     * @param terms  of the glossary, that are in the text
     * @throws ServiceRefused when it says no, and nothing is charged
     * @throws SpeechFailed   with a sentence when it can't be asked
     */
    public Translated translate(String once, String from, String to, String text, List<GlossaryTerm> terms) {
        ObjectNode asked =
                JSON.createObjectNode().put("from", from).put("to", to).put("text", text);
        ArrayNode glossary = asked.putArray("glossary");
        terms.forEach(
                term -> glossary.addObject().put("written", term.written()).put("said", term.said()));
        JsonNode answer = service.ask(service.request("v1/translation")
                .header("Idempotency-Key", once)
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(asked), StandardCharsets.UTF_8))
                .build());
        String said = answer.path("text").asString("").strip();
        return new Translated(
                said.isEmpty() ? null : said, answer.path("characters").asInt(0));
    }
}
