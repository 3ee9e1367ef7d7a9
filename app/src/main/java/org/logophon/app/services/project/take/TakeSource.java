package org.logophon.app.services.project.take;

import java.util.Locale;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.take.TakeOrigin;

/** The source of a take. */
public enum TakeSource {
    /** A voice of an engine spoke it. */
    RENDERED,
    /** A person spoke it, in the page. */
    RECORDED,
    /** A person spoke it, and it came as a file. */
    UPLOADED,
    /** A person's timing and melody in a voice of an engine. */
    RECAST;

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Of a take that a recipe made. */
    static TakeSource ofRendered(TakeOrigin origin) {
        boolean recast = origin.voice() != null
                && RecordedVoice.of(origin.voice().id())
                        .filter(RecordedVoice::recast)
                        .isPresent();
        return recast ? RECAST : RENDERED;
    }

    public static TakeSource of(String id) {
        return valueOf(id.toUpperCase(Locale.ROOT));
    }
}
