package org.logophon.app.services.project;

import java.time.Instant;
import java.util.UUID;
import org.logophon.core.direction.Direction;
import org.logophon.core.voice.finish.FinishSettings;

/**
 * One video's narration.
 *
 * @param workspace     that it belongs to
 * @param versionOf     project of which it is a version in another language; null for none
 * @param language      BCP 47 tag of the script
 * @param targetSeconds how long it shall run; null when nobody said
 * @param scriptVersion raised by one with each saved change of the script
 * @param shape         how the script is split and numbered
 * @param targetLufs    null for "off"
 * @param picture       that its clips are placed to
 * @param contentVersion raised whenever a recipe of it may have become another
 * @param statusVersion  raised whenever something has become of its cues
 * @param houseVersion   as the content's, for what holds in every project
 */
public record Project(
        UUID id,
        UUID workspace,
        UUID versionOf,
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
        Picture picture,
        Instant changedAt,
        long contentVersion,
        long statusVersion,
        long houseVersion) {

    public static final int LONGEST_NAME = 120;

    public FinishSettings finish() {
        return FinishSettings.to(targetLufs);
    }
}
