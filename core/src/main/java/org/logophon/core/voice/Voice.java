package org.logophon.core.voice;

import java.util.List;
import java.util.Set;

/**
 * One speaking voice that an engine offers.
 *
 * @param id       ours, stable: what scripts, casts and recipes name
 * @param name     given name, shown to people
 * @param language BCP 47 tag
 * @param languageName language in English
 * @param accent   region or way of speaking in English, empty when the language has one only
 * @param character words that its maker describes it with
 * @param engine   engine family
 * @param engineVoice the engine's own identifier: internal, never shown
 * @param canDo    what can be asked of it, by itself or with the core's help
 * @param byItself what its engine does; the rest of {@code canDo} is done in the signal
 * @param styles   names of its own ways of speaking
 * @param baseId   the voice that it is made of: its own id, but for a house voice
 * @param tuning   what makes a house voice of its base; {@link Tuning#NONE} for any other
 */
public record Voice(
        String id,
        String name,
        String language,
        String languageName,
        String accent,
        Gender gender,
        Age age,
        List<String> character,
        String engine,
        String engineVoice,
        Set<Ability> canDo,
        Set<Ability> byItself,
        List<String> styles,
        Terms terms,
        String baseId,
        Tuning tuning) {

    public Voice {
        character = List.copyOf(character);
        canDo = Set.copyOf(canDo);
        byItself = Set.copyOf(byItself);
        styles = List.copyOf(styles);
    }

    /** An engine's own voice. */
    public Voice(
            String id,
            String name,
            String language,
            String languageName,
            String accent,
            Gender gender,
            Age age,
            List<String> character,
            String engine,
            String engineVoice,
            Set<Ability> canDo,
            Set<Ability> byItself,
            List<String> styles,
            Terms terms) {
        this(
                id,
                name,
                language,
                languageName,
                accent,
                gender,
                age,
                character,
                engine,
                engineVoice,
                canDo,
                byItself,
                styles,
                terms,
                id,
                Tuning.NONE);
    }

    /** A grown-up's voice without styles, that costs nothing and whose engine does all that it can do. */
    public Voice(
            String id,
            String name,
            String language,
            String languageName,
            String accent,
            Gender gender,
            String engine,
            String engineVoice,
            Set<Ability> canDo) {
        this(
                id,
                name,
                language,
                languageName,
                accent,
                gender,
                Age.GROWN,
                List.of(),
                engine,
                engineVoice,
                canDo,
                canDo,
                List.of(),
                Terms.FREE);
    }

    /** A house voice made of this one. @param description in words, or empty */
    public Voice tuned(String houseId, String houseName, String description, Tuning otherTuning) {
        return new Voice(
                houseId,
                houseName,
                language,
                languageName,
                accent,
                gender,
                age,
                description.isEmpty() ? character : List.of(description),
                engine,
                engineVoice,
                canDo,
                byItself,
                styles,
                terms,
                baseId,
                otherTuning);
    }

    /** True for one of the user's own. */
    public boolean ofTheHouse() {
        return !id.equals(baseId);
    }

    public boolean whispers() {
        return canDo.contains(Ability.WHISPER);
    }

    /** Language with its accent, as in "English, Scotland". */
    public String speaks() {
        return accent.isEmpty() ? languageName : languageName + ", " + accent;
    }
}
