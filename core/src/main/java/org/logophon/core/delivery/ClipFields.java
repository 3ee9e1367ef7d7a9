package org.logophon.core.delivery;

import java.util.Map;

/**
 * What the name of a clip's file may be made of.
 *
 * @param text  of the cue, whose first words are the slug
 * @param voice its name; empty for none
 * @param take  its name; empty for none
 */
public record ClipFields(
        String number, String text, String role, String voice, String take, String scene, String project) {

    /** By the names of fields in a {@linkplain FileNames pattern}. */
    Map<String, String> values() {
        return Map.of(
                "number",
                number,
                "slug",
                Slug.of(text),
                "role",
                role,
                "voice",
                voice,
                "take",
                take,
                "scene",
                scene,
                "project",
                project);
    }
}
