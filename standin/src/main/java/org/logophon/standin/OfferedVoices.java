package org.logophon.standin;

import java.util.List;
import java.util.Map;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;

/** The eight voices of the stand-in: engines' voices, tuned until they are others. */
final class OfferedVoices {

    static final int MOST_CHARACTERS = 500;
    static final String PRICE = "0.0004";
    static final String CURRENCY = "EUR";
    private static final Map<String, Tuning> STYLES = Map.of(
            "calm",
            new Tuning(92, -0.5, 80, 0, null, 0),
            "bright",
            new Tuning(104, 1, 125, 0, null, 0),
            "urgent",
            new Tuning(118, 1.5, 115, 0, null, 0));

    private final VoiceCatalogue base;

    OfferedVoices(VoiceCatalogue base) {
        this.base = base;
    }

    /** @param of id of the engine's voice that speaks */
    record Offered(
            String id,
            String name,
            String language,
            String languageName,
            String accent,
            String gender,
            List<String> character,
            List<String> styles,
            String of,
            Tuning tuning) {}

    private static final List<Offered> ALL = List.of(
            new Offered(
                    "rosalind",
                    "Rosalind",
                    "en-GB",
                    "English",
                    "Great Britain",
                    "female",
                    List.of("warm"),
                    List.of("calm", "bright"),
                    "tamsin",
                    new Tuning(94, -1, 110, -0.7, null, 0)),
            new Offered(
                    "thaddeus",
                    "Thaddeus",
                    "en-US",
                    "English",
                    "United States",
                    "male",
                    List.of("grave"),
                    List.of("calm", "urgent"),
                    "rufus",
                    new Tuning(96, -1.5, 110, -0.5, null, 0)),
            new Offered(
                    "imogen",
                    "Imogen",
                    "en-US",
                    "English",
                    "United States",
                    "female",
                    List.of("clear"),
                    List.of("bright"),
                    "marnie",
                    new Tuning(102, 1.5, 140, 0.5, null, 0)),
            new Offered(
                    "wiebke",
                    "Wiebke",
                    "de",
                    "German",
                    "",
                    "female",
                    List.of("warm"),
                    List.of("calm", "bright"),
                    "de",
                    new Tuning(96, -0.5, 110, -0.5, null, 0)),
            new Offered(
                    "konrad",
                    "Konrad",
                    "de",
                    "German",
                    "",
                    "male",
                    List.of("even"),
                    List.of("calm"),
                    "de",
                    new Tuning(95, -1, 90, -0.6, null, 0)),
            new Offered(
                    "capucine",
                    "Capucine",
                    "fr-FR",
                    "French",
                    "France",
                    "female",
                    List.of("lively"),
                    List.of("bright", "urgent"),
                    "fr-FR",
                    new Tuning(98, 0.5, 120, 0.3, null, 0)),
            new Offered(
                    "anatole",
                    "Anatole",
                    "fr-FR",
                    "French",
                    "France",
                    "male",
                    List.of("grave"),
                    List.of("calm"),
                    "fr-FR",
                    new Tuning(92, -1.5, 95, -0.5, null, 0)),
            new Offered(
                    "nieves",
                    "Nieves",
                    "es",
                    "Spanish",
                    "Spain",
                    "female",
                    List.of("clear"),
                    List.of("bright", "calm"),
                    "es",
                    new Tuning(97, 0.5, 110, 0.2, null, 0)));

    List<Offered> all() {
        return ALL;
    }

    Offered find(String id) {
        return ALL.stream()
                .filter(offered -> offered.id().equals(id))
                .findFirst()
                .orElse(null);
    }

    /** Abilities, by the words of the contract. */
    List<String> canDo(Offered offered) {
        return spoken(offered, "").canDo().contains(Ability.IPA)
                ? List.of("styles", "IPA", "word times")
                : List.of("styles", "word times");
    }

    /**
     * The voice with its style, ready to speak.
     *
     * @throws IllegalArgumentException with a sentence when it has no such style
     */
    Voice spoken(Offered offered, String style) {
        if (!style.isEmpty() && !offered.styles().contains(style)) {
            throw new IllegalArgumentException(offered.name() + " has no style “" + style + "”.");
        }
        Voice of = base.find(offered.of())
                .orElseGet(() -> base.all().stream()
                        .filter(voice -> voice.language().equals(offered.of())
                                && voice.gender().name().equalsIgnoreCase(offered.gender())
                                && !voice.whispers())
                        .findFirst()
                        .orElseThrow());
        return of.tuned(
                "standin-" + offered.id(),
                offered.name(),
                "",
                style.isEmpty() ? offered.tuning() : both(offered.tuning(), STYLES.get(style)));
    }

    private static Tuning both(Tuning voice, Tuning style) {
        return new Tuning(
                voice.pacePercent() * style.pacePercent() / 100,
                voice.semitones() + style.semitones(),
                Math.min(200, voice.rangePercent() * style.rangePercent() / 100),
                voice.timbreSemitones(),
                null,
                0);
    }
}
