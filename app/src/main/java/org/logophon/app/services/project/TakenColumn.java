package org.logophon.app.services.project;

import org.logophon.core.voice.take.TakenDirection;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The column that says which take's levels a cue follows; null for those of its project and role. */
public final class TakenColumn {

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private TakenColumn() {}

    public static TakenDirection read(String json) {
        return json == null ? null : JSON.readValue(json, TakenDirection.class);
    }

    static String write(TakenDirection taken) {
        return taken == null ? null : JSON.writeValueAsString(taken);
    }
}
