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
 * @param baseId   the voice of the engine that it is made of: its own id, when it is that
 * @param tuning   what makes it of its base; {@link Tuning#NONE} for an engine's own voice
 * @param making   how its engine makes speech
 * @param ofTheHouse true for one of the user's own
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
        Tuning tuning,
        Making making,
        boolean ofTheHouse) {

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
                Tuning.NONE,
                Making.UNTOLD,
                false);
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
        List<String> described = description.isEmpty() ? character : List.of(description);
        return derived(houseId, houseName, gender, age, described, otherTuning, true);
    }

    /** One that ships with this one's engine, made of it: a person of its own. */
    public Voice as(String otherId, String otherName, Gender of, Age aged, List<String> described, Tuning otherTuning) {
        return derived(otherId, otherName, of, aged, described, otherTuning, false);
    }

    private Voice derived(
            String otherId,
            String otherName,
            Gender of,
            Age aged,
            List<String> described,
            Tuning otherTuning,
            boolean house) {
        return new Voice(
                otherId,
                otherName,
                language,
                languageName,
                accent,
                of,
                aged,
                described,
                engine,
                engineVoice,
                canDo,
                byItself,
                styles,
                terms,
                baseId,
                otherTuning,
                making,
                house);
    }

    public Voice made(Making how) {
        return new Voice(
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
                baseId,
                tuning,
                how,
                ofTheHouse);
    }

    /** True for one that ships, made of an engine's own voice. */
    public boolean ofTheCast() {
        return !ofTheHouse && !id.equals(baseId);
    }

    public boolean whispers() {
        return canDo.contains(Ability.WHISPER);
    }

    /** Language with its accent, as in "English, Scotland". */
    public String speaks() {
        return accent.isEmpty() ? languageName : languageName + ", " + accent;
    }
}
