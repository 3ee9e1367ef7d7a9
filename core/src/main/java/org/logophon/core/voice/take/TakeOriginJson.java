package org.logophon.core.voice.take;

import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The origin of a take as JSON: {@code {"version": 1, "text": …}}. What a later version adds is passed over by an
 * earlier one; the number is raised when something that is there comes to mean something else.
 */
public final class TakeOriginJson {

    static final int VERSION = 1;

    private static final JsonMapper JSON = JsonMapper.builder()
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private TakeOriginJson() {}

    public static String write(TakeOrigin origin) {
        ObjectNode fields = JSON.createObjectNode().put("version", VERSION);
        fields.setAll((ObjectNode) JSON.valueToTree(origin));
        return JSON.writeValueAsString(fields);
    }

    /** @throws IllegalArgumentException when it is none, or of a later version than this one knows */
    public static TakeOrigin read(String json) {
        try {
            JsonNode fields = JSON.readTree(json);
            int version = fields.path("version").asInt(0);
            if (version < 1 || version > VERSION) {
                throw new IllegalArgumentException("What made this take is written in version " + version
                        + ", and this Logophon reads version " + VERSION + ".");
            }
            return JSON.treeToValue(fields, TakeOrigin.class);
        } catch (JacksonException broken) {
            throw new IllegalArgumentException("What made this take can't be read.", broken);
        }
    }
}
