package org.logophon.app.services.voices;

import org.logophon.core.voice.Tuning;

/**
 * A voice of the house's own, as stored.
 *
 * @param id   starts with {@link #PREFIX}
 * @param base id of the voice that it is made of
 */
public record HouseVoice(String id, String name, String description, String base, Tuning tuning) {

    public static final String PREFIX = "house-";
    public static final int LONGEST_NAME = 60;
    public static final int LONGEST_DESCRIPTION = 300;
}
