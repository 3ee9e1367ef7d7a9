package org.logophon.core.voice.render;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.voice.Voice;

/**
 * The recipe of a cue's sound: its words with their readings, said by its speaker and by whomever its marks call.
 *
 * @param missing why marks can't be kept, as sentences
 */
public record CueRecipe(Recipe recipe, List<String> missing) {

    public CueRecipe {
        missing = List.copyOf(missing);
    }

    /**
     * @param casting marks that let others speak, or in another language; none for what a person has said
     * @param speaker of the cue
     * @param others  who else may speak in it
     * @param said    readings of the whole text for a voice
     * @param sounds  what other languages sound like
     * @param score   of the cue's marks and rests
     */
    public static CueRecipe of(
            String text,
            List<Mark> casting,
            Speaker speaker,
            Speakers others,
            Function<Voice, List<Pronunciation>> said,
            SpokenSounds sounds,
            Score score) {
        OwnSounds accented = OwnSounds.of(text, casting, speaker.voice(), sounds);
        List<Pronunciation> own = accented.with(said.apply(speaker.voice()));
        VoiceParts parts = VoiceParts.of(
                text, casting, speaker, others, voice -> voice.equals(speaker.voice()) ? own : said.apply(voice));
        Recipe recipe = Recipe.of(text, own, speaker.voice(), speaker.engineVersion(), speaker.direction())
                .with(score)
                .parted(parts);
        return new CueRecipe(
                recipe,
                Stream.concat(parts.missing().stream(), accented.missing().stream())
                        .toList());
    }
}
