package org.logophon.core.voice;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.logophon.core.input.InvalidInput;

/**
 * A recording as a voice: one that can say its own words only. With another voice beside it, that one says them in the
 * recording's timing and melody. Its identifier says all of it, so that a recipe, a take and a cue name it as any
 * voice.
 *
 * @param recording which one
 * @param language  of the recording, BCP 47; empty where another voice says it
 * @param voice     id of the voice that says it; empty for the recording itself
 * @param timing    how much of the recording's timing, 0–100 %
 * @param melody    how much of its melody, 0–100 %
 * @param ownPitch  true when the voice keeps its own median pitch, false for the recording's
 */
public record RecordedVoice(String recording, String language, String voice, int timing, int melody, boolean ownPitch) {

    /** Engine family of recordings. */
    public static final String ENGINE = "recording";

    private static final String PLAIN = "recording:";
    private static final String RECAST = "recast:";

    public RecordedVoice {
        if (timing < 0 || timing > 100 || melody < 0 || melody > 100) {
            throw new InvalidInput("Timing and melody go from 0 to 100 %.");
        }
    }

    /** The recording itself. */
    public static RecordedVoice itself(String recording, String language) {
        return new RecordedVoice(recording, language, "", 100, 100, true);
    }

    /** What an identifier says; empty for any other voice's. */
    public static Optional<RecordedVoice> of(String id) {
        if (id != null && id.startsWith(PLAIN)) {
            String[] parts = id.substring(PLAIN.length()).split(":", 2);
            return Optional.of(itself(parts[0], parts.length < 2 ? "" : parts[1]));
        }
        if (id == null || !id.startsWith(RECAST)) {
            return Optional.empty();
        }
        String[] parts = id.substring(RECAST.length()).split(":", 5);
        return parts.length < 5 || !parts[1].matches("\\d{1,3}") || !parts[2].matches("\\d{1,3}")
                ? Optional.empty()
                : Optional.of(new RecordedVoice(
                        parts[0],
                        "",
                        parts[4],
                        Integer.parseInt(parts[1]),
                        Integer.parseInt(parts[2]),
                        parts[3].equals("own")));
    }

    public String id() {
        return recast()
                ? RECAST + recording + ":" + timing + ":" + melody + ":" + (ownPitch ? "own" : "recorded") + ":" + voice
                : PLAIN + recording + ":" + language;
    }

    /** The same recording said by another voice. */
    public RecordedVoice by(String otherVoice, int timingPercent, int melodyPercent, boolean atItsOwnPitch) {
        return new RecordedVoice(recording, "", otherVoice, timingPercent, melodyPercent, atItsOwnPitch);
    }

    /** True when another voice says it. */
    public boolean recast() {
        return !voice.isEmpty();
    }

    /**
     * As a voice.
     *
     * @param voices finds the one that says it
     * @return empty when that voice isn't here
     */
    public Optional<Voice> asVoice(Function<String, Optional<Voice>> voices) {
        if (!recast()) {
            return Optional.of(made("Your recording", language, "", null, Age.GROWN, id()));
        }
        return voices.apply(voice)
                .filter(found -> found.terms().free() && !found.whispers())
                .map(found -> made(
                        found.name() + ", as recorded",
                        found.language(),
                        found.accent(),
                        found.gender(),
                        found.age(),
                        // another tuning of a house voice is another sound
                        id() + "|" + found.baseId() + "|" + found.tuning()));
    }

    /** @param gender null for a recording: nobody asked who spoke */
    private Voice made(String name, String language, String accent, Gender gender, Age age, String engineVoice) {
        Set<Ability> can =
                Set.of(Ability.PACE, Ability.PITCH, Ability.RANGE, Ability.STRESS, Ability.PAUSE, Ability.WORD_TIMES);
        return new Voice(
                id(),
                name,
                language,
                language,
                accent,
                gender,
                age,
                List.of(),
                ENGINE,
                engineVoice,
                can,
                Set.of(),
                List.of(),
                Terms.FREE);
    }
}
