package org.logophon.core.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Recipe;

/**
 * The state in which a cue was heard: all that its sound follows from, one text for each {@link Aspect}. Two are
 * compared, never read back; texts are short however long the cue is.
 *
 * @param take the take that was heard; what made it is in the others, too
 */
public record ApprovalState(
        String words, String voice, String direction, String readings, String take, String loudness) {

    private static final int DIGITS = 16;

    /**
     * @param recipe     of the cue; null for a recording that no voice could say
     * @param targetLufs that clips are brought to; null for as they are
     * @param offsetDb   of the cue against it
     */
    public static ApprovalState of(String text, Recipe recipe, String take, Double targetLufs, double offsetDb) {
        String loudness =
                String.format(Locale.ROOT, "%s %.2f", targetLufs == null ? "as made" : targetLufs.toString(), offsetDb);
        if (recipe == null) {
            return new ApprovalState(shortened(text), "", "", "", take, loudness);
        }
        return new ApprovalState(
                shortened(text), voice(recipe.voice()), shortened(direction(recipe)), readings(recipe), take, loudness);
    }

    private static String voice(Voice voice) {
        // written out: a hash code is another one after a restart
        return voice.baseId() + " " + shortened(voice.tuning().toString());
    }

    private static String direction(Recipe recipe) {
        Score score = recipe.score();
        StringBuilder all = new StringBuilder();
        all.append(Math.round(recipe.paceFactor() * 10_000))
                .append(' ')
                .append(Math.round(recipe.semitones() * 1_000))
                .append(' ')
                .append(recipe.treatment().canonical())
                .append(' ')
                .append(recipe.style());
        // a mark stands on letters of the text: other words move it, and that is a change of words
        for (Mark mark : score.marks()) {
            all.append(' ')
                    .append(mark.instruction().id())
                    .append(mark.instruction().value())
                    .append(recipe.text(), mark.start(), mark.end());
        }
        all.append(' ').append(score.pauseDefaults().canonical()).append(' ').append(score.livelyPercent());
        return all.append(' ')
                .append(score.livelyPercent() == 0 ? 0 : score.seed())
                .toString();
    }

    private static String readings(Recipe recipe) {
        StringBuilder all = new StringBuilder();
        for (Pronunciation place : recipe.said()) {
            all.append(recipe.text(), place.start(), place.end())
                    .append('=')
                    .append(place.words())
                    .append(' ');
        }
        return all.isEmpty() ? "" : shortened(all.toString());
    }

    private static String shortened(String text) {
        return Sha256.hex(text).substring(0, DIGITS);
    }

    /**
     * What is different now. Another take is told alone only where nothing else has changed: a new render follows from
     * what does.
     */
    public List<Aspect> changed(ApprovalState now) {
        List<Aspect> changed = new ArrayList<>();
        for (Aspect aspect : Aspect.values()) {
            if (aspect != Aspect.TAKE && !aspect.of(this).equals(aspect.of(now))) {
                changed.add(aspect);
            }
        }
        if (changed.stream().allMatch(Aspect.LOUDNESS::equals) && !take.equals(now.take)) {
            changed.add(Aspect.TAKE);
        }
        return changed;
    }
}
