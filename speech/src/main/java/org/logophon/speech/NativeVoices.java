package org.logophon.speech;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.FixedVoices;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;

/** The voices of the engines that come with the machine. */
public final class NativeVoices {

    /** The voice of a role that nobody cast. */
    public static final String DEFAULT_ID = "rufus";

    /** English voices made of recordings that tell their word times, each of another person and another making. */
    private static final List<String> ENGLISH_TELLING = List.of("rufus", "farquhar", "otis");

    /** Women and men, of four makings: what they have in common is what makes a word. */
    private static final List<String> ENGLISH_SAYING = List.of("rufus", "farquhar", "marnie", "otis", "verity", "isla");
    /** Of another language so many are asked. */
    private static final int MOST_SAYING = 4;
    /** Quick, and as good as any once its throat fits. */
    private static final String ENGLISH_QUICK = "otis";

    private static volatile VoiceCatalogue all = gathered();

    private NativeVoices() {}

    public static VoiceCatalogue catalogue() {
        return all;
    }

    /**
     * Voices that say the words of one that doesn't tell when they sound. Where several speak a language, one that is
     * led astray is outvoted; none when nobody speaks it.
     */
    public static List<Voice> telling(Voice voice) {
        if (voice.language().startsWith("en")) {
            return ENGLISH_TELLING.stream().flatMap(id -> all.find(id).stream()).toList();
        }
        return all.inLanguage(voice.language(), voice).stream().toList();
    }

    /**
     * Voices against which a recording is held, unlike one another.
     *
     * @param language BCP 47
     * @return none when nobody speaks it
     */
    public static List<Voice> saying(String language) {
        if (language.startsWith("en")) {
            return ENGLISH_SAYING.stream().flatMap(id -> all.find(id).stream()).toList();
        }
        String tongue = written(language);
        List<Voice> chosen = new ArrayList<>();
        all.all().stream()
                .filter(voice -> written(voice.language()).equals(tongue)
                        && !voice.whispers()
                        && !voice.ofTheCast()
                        && voice.canDo().contains(Ability.WORD_TIMES))
                .sorted(Comparator.comparing((Voice voice) -> !voice.language().equalsIgnoreCase(language))
                        .thenComparing(Voice::making)
                        .thenComparing(Voice::id))
                .forEach(voice -> {
                    boolean another = chosen.stream()
                                    .filter(other -> other.gender() == voice.gender())
                                    .count()
                            < MOST_SAYING / 2;
                    if (another) {
                        chosen.add(voice);
                    }
                });
        return List.copyOf(chosen);
    }

    /** Language and script: who reads another script says other words, or none. */
    private static String written(String language) {
        Locale locale = Locale.forLanguageTag(language);
        return locale.getLanguage() + "-" + locale.getScript();
    }

    /** The voice with which long recordings are cut; empty when nobody speaks the language. */
    public static Optional<Voice> quick(String language) {
        return language.startsWith("en")
                ? all.find(ENGLISH_QUICK)
                : saying(language).stream()
                        .filter(voice -> voice.engine().equals(EspeakVoices.ENGINE))
                        .findFirst()
                        .or(() -> saying(language).stream().findFirst());
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
