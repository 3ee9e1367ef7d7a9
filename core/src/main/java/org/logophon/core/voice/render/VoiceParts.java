package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Voice;

/**
 * A cue whose words are said by several voices, by its marks of role and language.
 *
 * @param pieces  in order, every word in one of them; empty when the cue's own speaker says all
 * @param missing why marks can't be kept, as sentences; their words stay with the speaker around them
 */
public record VoiceParts(List<VoicePart> pieces, List<String> missing) {

    /**
     * @param own    who says what stands under no such mark
     * @param others who else may
     * @param said   readings of the whole text for a voice, in order
     */
    public static VoiceParts of(
            String text, List<Mark> marks, Speaker own, Speakers others, Function<Voice, List<Pronunciation>> said) {
        List<Mark> casting = marks.stream()
                .filter(mark -> mark.instruction() instanceof Instruction.SpokenBy
                        || mark.instruction() instanceof Instruction.Language)
                .toList();
        if (casting.isEmpty()) {
            return new VoiceParts(List.of(), List.of());
        }
        Set<String> missing = new LinkedHashSet<>();
        List<Speaker> speakers = new ArrayList<>();
        List<Word> words = Words.of(text);
        for (Word word : words) {
            speakers.add(speaker(word, casting, own, others, missing));
        }
        List<VoicePart> pieces = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < words.size(); i++) {
            boolean last = i + 1 == words.size();
            if (last || !speakers.get(i).equals(speakers.get(i + 1))) {
                int to = last
                        ? text.length()
                        : split(text, words.get(i).end(), words.get(i + 1).start());
                pieces.add(piece(text, from, to, last, speakers.get(i), own, said));
                from = to;
            }
        }
        boolean alone = pieces.size() < 2 && pieces.stream().allMatch(VoicePart::own);
        return new VoiceParts(alone ? List.of() : List.copyOf(pieces), List.copyOf(missing));
    }

    private static Speaker speaker(Word word, List<Mark> casting, Speaker own, Speakers others, Set<String> missing) {
        Speaker speaker = own;
        Instruction.SpokenBy role = innermost(word, casting, Instruction.SpokenBy.class);
        if (role != null) {
            Optional<Speaker> found = others.ofRole(role.name());
            if (found.isEmpty()) {
                missing.add(role.name()
                        + ", who says words of this cue, has no voice yet. Cast one, or take the mark off.");
            }
            speaker = found.orElse(own);
        }
        Instruction.Language language = innermost(word, casting, Instruction.Language.class);
        if (language == null || language.ownSounds() || speaker.speaks(language.tag())) {
            return speaker;
        }
        Optional<Speaker> found = others.inLanguage(language.tag(), speaker);
        if (found.isEmpty()) {
            missing.add("No voice speaks the language “" + language.tag()
                    + "”, which words of this cue are in. Choose another, or take the mark off.");
        }
        return found.orElse(speaker);
    }

    private static <A extends Instruction> A innermost(Word word, List<Mark> marks, Class<A> kind) {
        return marks.stream()
                .filter(mark ->
                        kind.isInstance(mark.instruction()) && mark.start() < word.end() && mark.end() > word.start())
                .min(java.util.Comparator.comparingInt(mark -> mark.end() - mark.start()))
                .map(mark -> kind.cast(mark.instruction()))
                .orElse(null);
    }

    /** What closes stays with the words before, what opens goes with those after: they part at the last space. */
    private static int split(String text, int end, int start) {
        int at = start;
        while (at > end && !Character.isWhitespace(text.charAt(at - 1))) {
            at--;
        }
        return at > end ? at : start;
    }

    private static VoicePart piece(
            String text,
            int from,
            int to,
            boolean last,
            Speaker speaker,
            Speaker own,
            Function<Voice, List<Pronunciation>> said) {
        String words = text.substring(from, to).stripTrailing();
        // a voice falls at the end of what it is given: a comma keeps it up where the sentence goes on
        String spoken = last || BoundaryType.after(words) != BoundaryType.WORD ? words : words + ",";
        List<Pronunciation> inside = said.apply(speaker.voice()).stream()
                .filter(place -> place.start() >= from && place.end() <= from + words.length())
                .map(place -> new Pronunciation(place.start() - from, place.end() - from, place.words(), place.ipa()))
                .toList();
        return new VoicePart(
                from,
                Recipe.of(spoken, inside, speaker.voice(), speaker.engineVersion(), speaker.direction()),
                speaker.direction().loudnessDb() - own.direction().loudnessDb(),
                Objects.equals(speaker, own));
    }
}
