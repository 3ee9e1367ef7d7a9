package org.logophon.standin;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The sentences that the stand-in can translate: the demo's own sentences, and nothing else. */
final class KnownSentences {

    /** For a character of the text that is sent. */
    static final String PRICE = "0.0002";

    /** Languages, as the contract has them. */
    static final List<Map<String, String>> PAIRS = List.of(Map.of("from", "en", "to", "de"));

    private final Map<String, String> german = new HashMap<>();

    KnownSentences() throws IOException {
        try (InputStream in = KnownSentences.class.getResourceAsStream("wheel-true.tsv")) {
            new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().forEach(line -> {
                String[] both = line.split("\t");
                german.put(both[0], both[1]);
            });
        }
    }

    /** @param from language, as "en-GB" @param to as from */
    Optional<String> of(String text, String from, String to) {
        return from.startsWith("en") && to.startsWith("de")
                ? Optional.ofNullable(german.get(text.strip()))
                : Optional.empty();
    }
}
