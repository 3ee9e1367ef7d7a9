package org.logophon.app.rendering;

import java.util.UUID;

/** A job's name says all about it: which cue, for which batch. */
record RenderJob(UUID batch, UUID cue) {

    static String of(UUID batch, UUID cue) {
        return batch + "/" + cue;
    }

    static RenderJob parse(String name) {
        int slash = name.indexOf('/');
        return new RenderJob(UUID.fromString(name.substring(0, slash)), UUID.fromString(name.substring(slash + 1)));
    }
}
