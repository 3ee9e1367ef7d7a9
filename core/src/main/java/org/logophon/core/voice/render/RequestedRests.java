package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.direction.phrasing.PhraseMove;
import org.logophon.core.direction.phrasing.PhrasePart;
import org.logophon.core.direction.phrasing.Phrasing;
import org.logophon.core.text.estimate.Estimate;
import org.logophon.core.text.script.Sentences;

/**
 * The rests that a recipe asks for: a mark's before its role's, its role's before the phrasing's, and that before the
 * voice's own.
 *
 * @param phrasing of the text, without what marks say themselves
 * @param chances  −1…1 for each word
 */
record RequestedRests(List<WordTime> words, int rate, Recipe recipe, Phrasing phrasing, List<Double> chances) {

    private static final double SHORTEST_SECONDS = 0.12;

    /** One for each word: the rest after it. */
    List<RequestedRest> all() {
        Score score = recipe.score();
        List<Integer> sentences = Sentences.ends(recipe.text(), recipe.voice().language());
        List<RequestedRest> rests = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            WordTime word = words.get(i);
            RequestedRest rest = i + 1 < words.size()
                    ? byHabit(word.end(), words.get(i + 1).start(), sentences, rate)
                    : RequestedRest.OWN;
            double chance = score.livelyPercent() == 0
                    ? 1
                    : 1 + WordEffect.CHANCE_REST * score.livelyPercent() / 100 * chances.get(i);
            rest = rest.samples() >= 0 && rest.exact() ? rest : phrased(word, rest, chance);
            rest = new RequestedRest(rest.samples(), rest.exact(), chance, null, rest.blend());
            boolean paused = false;
            for (Mark mark : score.marks()) {
                if (mark.end() == word.end() && mark.instruction() instanceof Instruction.Pause pause) {
                    // a gap may have a pause and the room that a sound wants: the longer holds both
                    int samples = Math.round(pause.millis() * rate / 1000f);
                    int asked = paused ? Math.max(samples, rest.samples()) : samples;
                    rest = new RequestedRest(asked, true, 1, rest.breath());
                    paused = true;
                } else if (mark.end() == word.end() && mark.instruction() instanceof Instruction.Breath breath) {
                    rest = rest.with(breath.depth());
                }
            }
            rests.add(rest);
        }
        return rests;
    }

    private RequestedRest byHabit(int end, int next, List<Integer> sentences, int rate) {
        PauseDefaults pauseDefaults = recipe.score().pauseDefaults();
        boolean stop = sentences.stream().anyMatch(place -> place > end && place <= next);
        if (stop && pauseDefaults.stopMillis() != null) {
            int millis = pauseDefaults.leastMillis() == null
                    ? pauseDefaults.stopMillis()
                    : Math.max(pauseDefaults.leastMillis(), pauseDefaults.stopMillis());
            return new RequestedRest(millis * rate / 1000, true, 1, null);
        }
        if (stop && pauseDefaults.leastMillis() != null) {
            return new RequestedRest(pauseDefaults.leastMillis() * rate / 1000, false, 1, null);
        }
        boolean comma = !stop && recipe.text().substring(end, next).chars().anyMatch(c -> ",;:—–،、，".indexOf(c) >= 0);
        return comma && pauseDefaults.commaMillis() != null
                ? new RequestedRest(pauseDefaults.commaMillis() * rate / 1000, true, 1, null)
                : RequestedRest.OWN;
    }

    /** @param least what is asked for already; a rest of the phrasing is as long at least */
    private RequestedRest phrased(WordTime word, RequestedRest least, double chance) {
        for (PhrasePart part : phrasing.parts()) {
            if (part.end() == word.end() && part.move() instanceof PhraseMove.Rest rest) {
                double seconds = Math.max(
                        Math.min(SHORTEST_SECONDS, rest.seconds()),
                        rest.seconds() * Estimate.restFactor(recipe.directedPace()));
                int samples = (int) Math.round(seconds * chance * rate);
                double blend = recipe.phrasingPercent() / 100.0;
                return new RequestedRest(Math.max(samples, least.samples()), true, 1, null, blend);
            }
        }
        return least;
    }
}
