package org.logophon.speech;

import java.util.List;
import java.util.stream.Stream;
import org.logophon.core.voice.FixedVoices;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;

/** The voices of the engines that come with the machine. */
public final class NativeVoices {

    /** The voice of a role that nobody cast. */
    public static final String DEFAULT_ID = "rufus";

    /** English voices made of recordings that tell their word times, each of another person and another making. */
    private static final List<String> ENGLISH_TELLING = List.of("rufus", "farquhar", "otis");

    private static volatile VoiceCatalogue all = gathered();

    private NativeVoices() {}

    public static VoiceCatalogue catalogue() {
        return all;
    }

    /**
     * Voices that say the words of one that doesn't tell when they sound. Where several speak a language, one that is led
     * astray is outvoted; none when nobody speaks it.
     */
    public static List<Voice> telling(Voice voice) {
        if (voice.language().startsWith("en")) {
            return ENGLISH_TELLING.stream().flatMap(id -> all.find(id).stream()).toList();
        }
        return all.inLanguage(voice.language(), voice).stream().toList();
    }

    /** Voices that can be had from Debian, a language each. */
    public static List<VoiceOffer> offers() {
        return FestivalVoices.offers();
    }

    /** Takes in what was installed since. */
    public static void lookAgain() {
        all = gathered();
    }

    private static VoiceCatalogue gathered() {
        List<Voice> own = Stream.of(FliteVoices.all(), FestivalVoices.all(), EspeakVoices.all())
                .flatMap(List::stream)
                .toList();
        return new FixedVoices(Stream.concat(CastVoices.of(new FixedVoices(own)).stream(), own.stream())
                .toList());
    }
}
