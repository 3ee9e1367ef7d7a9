package org.logophon.core.voice;

import java.util.List;
import java.util.Set;

/**
 * One speaking voice that an engine offers.
 *
 * @param id        ours, stable: what scripts, casts and recipes name
 * @param name      given name, shown to people
 * @param source    whose it is, for the engine
 * @param abilities what can be asked of it
 */
public record Voice(
        String id,
        String name,
        Tongue tongue,
        Person person,
        Source source,
        Abilities abilities,
        Terms terms,
        Origin origin) {

    /**
     * The language and accent of a voice.
     *
     * @param language     BCP 47 tag
     * @param languageName language in English
     * @param accent       region or way of speaking in English, empty when the language has one only
     */
    public record Tongue(String language, String languageName, String accent) {}

    /**
     * Who it sounds like.
     *
     * @param character words that its maker describes it with
     */
    public record Person(Gender gender, Age age, List<String> character) {

        public Person {
            character = List.copyOf(character);
        }
    }

    /**
     * The engine of a voice.
     *
     * @param engine      engine family
     * @param engineVoice the engine's own identifier: internal, never shown
     */
    public record Source(String engine, String engineVoice) {}

    /**
     * The abilities of a voice.
     *
     * @param canDo    what can be asked of it, by itself or with the core's help
     * @param byItself what its engine does; the rest of {@code canDo} is done in the signal
     * @param styles   names of its own ways of speaking
     */
    public record Abilities(Set<Ability> canDo, Set<Ability> byItself, List<String> styles) {

        public Abilities {
            canDo = Set.copyOf(canDo);
            byItself = Set.copyOf(byItself);
            styles = List.copyOf(styles);
        }
    }

    /**
     * The base voice and tuning of a voice.
     *
     * @param baseId     the voice of the engine that it is made of: its own id, when it is that
     * @param tuning     what makes it of its base; {@link Tuning#NONE} for an engine's own voice
     * @param making     how its engine makes speech
     * @param ofTheHouse true for one of the user's own
     */
    public record Origin(String baseId, Tuning tuning, Making making, boolean ofTheHouse) {}

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
                new Tongue(language, languageName, accent),
                new Person(gender, age, character),
                new Source(engine, engineVoice),
                new Abilities(canDo, byItself, styles),
                terms,
                new Origin(id, Tuning.NONE, Making.UNTOLD, false));
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
                new Tongue(language, languageName, accent),
                new Person(gender, Age.GROWN, List.of()),
                new Source(engine, engineVoice),
                new Abilities(canDo, canDo, List.of()),
                Terms.FREE,
                new Origin(id, Tuning.NONE, Making.UNTOLD, false));
    }

    /** A house voice made of this one. @param description in words, or empty */
    public Voice tuned(String houseId, String houseName, String description, Tuning otherTuning) {
        List<String> described = description.isEmpty() ? character() : List.of(description);
        return derived(houseId, houseName, new Person(gender(), age(), described), otherTuning, true);
    }

    /** One that ships with this one's engine, made of it: a person of its own. */
    public Voice as(String otherId, String otherName, Gender of, Age aged, List<String> described, Tuning otherTuning) {
        return derived(otherId, otherName, new Person(of, aged, described), otherTuning, false);
    }

    private Voice derived(String otherId, String otherName, Person other, Tuning otherTuning, boolean house) {
        Origin made = new Origin(baseId(), otherTuning, making(), house);
        return new Voice(otherId, otherName, tongue, other, source, abilities, terms, made);
    }

    public Voice made(Making how) {
        Origin made = new Origin(baseId(), tuning(), how, ofTheHouse());
        return new Voice(id, name, tongue, person, source, abilities, terms, made);
    }

    public String language() {
        return tongue.language();
    }

    public String languageName() {
        return tongue.languageName();
    }

    public String accent() {
        return tongue.accent();
    }

    public Gender gender() {
        return person.gender();
    }

    public Age age() {
        return person.age();
    }

    public List<String> character() {
        return person.character();
    }

    public String engine() {
        return source.engine();
    }

    public String engineVoice() {
        return source.engineVoice();
    }

    public Set<Ability> canDo() {
        return abilities.canDo();
    }

    public Set<Ability> byItself() {
        return abilities.byItself();
    }

    public List<String> styles() {
        return abilities.styles();
    }

    public String baseId() {
        return origin.baseId();
    }

    public Tuning tuning() {
        return origin.tuning();
    }

    public Making making() {
        return origin.making();
    }

    public boolean ofTheHouse() {
        return origin.ofTheHouse();
    }

    /** True for one that ships, made of an engine's own voice. */
    public boolean ofTheCast() {
        return !ofTheHouse() && !id.equals(baseId());
    }

    public boolean whispers() {
        return canDo().contains(Ability.WHISPER);
    }

    /** Language with its accent, as in "English, Scotland". */
    public String speaks() {
        return accent().isEmpty() ? languageName() : languageName() + ", " + accent();
    }
}
