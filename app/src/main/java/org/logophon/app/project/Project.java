package org.logophon.app.project;

import java.time.Instant;
import java.util.UUID;
import org.logophon.core.direction.Direction;
import org.logophon.core.finish.FinishSettings;

/**
 * One video's narration.
 *
 * @param language      BCP 47 tag of the script
 * @param targetSeconds how long it shall run; null when nobody said
 * @param scriptVersion raised by one with each saved change of the script
 * @param shape         how the script is split and numbered
 * @param targetLufs    null for "off"
 */
public record Project(
        UUID id,
        String name,
        String language,
        Integer targetSeconds,
        String script,
        int scriptVersion,
        ScriptShape shape,
        Direction direction,
        int directionVersion,
        Double targetLufs,
        String namePattern,
        Instant changedAt) {

    public static final int LONGEST_NAME = 120;
    /** 100,000 words and then some. */
    public static final int LONGEST_SCRIPT = 2_000_000;

    /** The same with another script. */
    public Project with(String text, ScriptShape otherShape, int version) {
        return new Project(
                id,
                name,
                language,
                targetSeconds,
                text,
                version,
                otherShape,
                direction,
                directionVersion,
                targetLufs,
                namePattern,
                changedAt);
    }

    public FinishSettings finish() {
        return FinishSettings.to(targetLufs);
    }
}
