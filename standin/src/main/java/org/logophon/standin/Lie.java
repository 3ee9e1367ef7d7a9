package org.logophon.standin;

import java.util.Arrays;
import java.util.Base64;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Something else than what was asked for, with the status of an answer. */
enum Lie {
    PAGE,
    SILENCE,
    HALF;

    private static final JsonMapper JSON = JsonMapper.builder().build();
    /** Of a WAV file as it is sent here: what comes after it is sound. */
    private static final int HEAD_BYTES = 44;

    static Lie nth(int turn) {
        return values()[Math.floorMod(turn, values().length)];
    }

    /** @param answer the true one */
    String instead(String answer) {
        JsonNode told = JSON.readTree(answer);
        if (this == PAGE || !told.has("audio")) {
            return "<!doctype html><title>Welcome</title><p>Sign in to go on.";
        }
        byte[] wav = Base64.getDecoder().decode(told.get("audio").asString());
        byte[] other = wav.clone();
        if (this == SILENCE) {
            Arrays.fill(other, HEAD_BYTES, other.length, (byte) 0);
        } else {
            other = Arrays.copyOf(wav, HEAD_BYTES + (wav.length - HEAD_BYTES) / 4 * 2);
        }
        return JSON.writeValueAsString(
                ((ObjectNode) told).put("audio", Base64.getEncoder().encodeToString(other)));
    }
}
