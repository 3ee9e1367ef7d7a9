package org.logophon.speech;

import java.util.List;
import java.util.stream.Stream;
import org.logophon.core.voice.FixedVoices;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;

/** The voices of the engines that come with the machine. */
public final class NativeVoices {

    /** The voice of a role that nobody cast. */
    public static final String DEFAULT_ID = "isla";

    private NativeVoices() {}

    public static VoiceCatalogue catalogue() {
        List<Voice> own = Stream.of(FliteVoices.all(), FestivalVoices.all(), EspeakVoices.all())
                .flatMap(List::stream)
                .toList();
        return new FixedVoices(Stream.concat(CastVoices.of(new FixedVoices(own)).stream(), own.stream())
                .toList());
    }
}
