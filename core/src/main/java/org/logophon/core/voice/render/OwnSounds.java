package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.text.reading.NearestSounds;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Voice;

/**
 * Words of another language, said by a voice in its own sounds: with an accent, on purpose. What they sound like in
 * their language is brought to the sounds that the voice has, and goes into the recipe as readings in IPA.
 *
 * @param said    readings of those words
 * @param missing why it can't be done, as sentences; the words are said as they are written
 */
public record OwnSounds(List<Pronunciation> said, List<String> missing) {

    private static final OwnSounds NOTHING = new OwnSounds(List.of(), List.of());

    /** True for a voice that can: its engine takes IPA, and its sounds are those of English. */
    public static boolean can(Voice voice) {
        return voice.canDo().contains(Ability.IPA) && voice.language().startsWith("en");
    }

    public static OwnSounds of(String text, List<Mark> marks, Voice voice, SpokenSounds sounds) {
        List<Mark> own = marks.stream()
                .filter(mark -> mark.instruction() instanceof Instruction.Language language && language.ownSounds())
                .toList();
        if (own.isEmpty()) {
            return NOTHING;
        }
        List<Pronunciation> said = new ArrayList<>();
        Set<String> missing = new LinkedHashSet<>();
        for (Word word : Words.of(text)) {
            own.stream()
                    .filter(mark -> mark.start() < word.end() && mark.end() > word.start())
                    .map(mark -> (Instruction.Language) mark.instruction())
                    .findFirst()
                    .ifPresent(language -> say(text, word, language.tag(), voice, sounds, said, missing));
        }
        return new OwnSounds(List.copyOf(said), List.copyOf(missing));
    }

    private static void say(
            String text,
            Word word,
            String tag,
            Voice voice,
            SpokenSounds sounds,
            List<Pronunciation> said,
            Set<String> missing) {
        String named = Locale.forLanguageTag(tag).getDisplayLanguage(Locale.ENGLISH);
        if (!can(voice)) {
            missing.add(voice.name() + " can't say " + named
                    + " in its own sounds: its engine takes no IPA. Let a voice of that language say "
                    + "the words, or cast one that can.");
            return;
        }
        Optional<String> ipa = sounds.of(text.substring(word.start(), word.end()), tag);
        if (ipa.isEmpty()) {
            missing.add(
                    "Nobody here knows what " + named + " sounds like. Choose another language, or take the mark off.");
            return;
        }
        said.add(new Pronunciation(word.start(), word.end(), NearestSounds.english(ipa.get()), true));
    }

    /** Readings with these among them, in order; a reading that somebody wrote holds before them. */
    public List<Pronunciation> with(List<Pronunciation> readings) {
        if (said.isEmpty()) {
            return readings;
        }
        List<Pronunciation> all = new ArrayList<>(readings);
        said.stream()
                .filter(own -> readings.stream()
                        .noneMatch(reading -> reading.start() < own.end() && reading.end() > own.start()))
                .forEach(all::add);
        all.sort(Comparator.comparingInt(Pronunciation::start));
        return all;
    }
}
