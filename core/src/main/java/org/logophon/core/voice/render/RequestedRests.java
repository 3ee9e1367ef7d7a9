package org.logophon.core.voice.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.text.script.Sentences;

/**
 * The rests that a score asks for: a mark's before a habit's, and a habit's before the voice's own.
 *
 * @param language BCP 47 tag, for the ends of sentences
 * @param chances  −1…1 for each word
 */
record RequestedRests(List<WordTime> words, int rate, Score score, String text, String language, List<Double> chances) {

    /** One for each word: the rest after it. */
    List<RequestedRest> all() {
        List<Integer> sentences = Sentences.ends(text, language);
        List<RequestedRest> rests = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            WordTime word = words.get(i);
            RequestedRest rest = i + 1 < words.size()
                    ? byHabit(word.end(), words.get(i + 1).start(), sentences, rate)
                    : RequestedRest.OWN;
            double chance = score.livelyPercent() == 0
                    ? 1
                    : 1 + WordEffect.CHANCE_REST * score.livelyPercent() / 100 * chances.get(i);
            rest = new RequestedRest(rest.samples(), rest.exact(), chance, null);
            boolean paused = false;
            for (Mark mark : score.marks()) {
                if (mark.end() == word.end() && mark.instruction() instanceof Instruction.Pause pause) {
                    // a gap may have a pause and the room that a sound wants: the longer holds both
                    int samples = Math.round(pause.millis() * rate / 1000f);
                    int asked = paused ? Math.max(samples, rest.samples()) : samples;
                    rest = new RequestedRest(asked, true, 1, rest.breath());
                    paused = true;
                } else if (mark.end() == word.end() && mark.instruction() instanceof Instruction.Breath breath) {
                    rest = new RequestedRest(rest.samples(), rest.exact(), rest.share(), breath.depth());
                }
            }
            rests.add(rest);
        }
        return rests;
    }

    private RequestedRest byHabit(int end, int next, List<Integer> sentences, int rate) {
        PauseDefaults pauseDefaults = score.pauseDefaults();
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
        boolean comma = !stop && text.substring(end, next).chars().anyMatch(c -> ",;:—–،、，".indexOf(c) >= 0);
        return comma && pauseDefaults.commaMillis() != null
                ? new RequestedRest(pauseDefaults.commaMillis() * rate / 1000, true, 1, null)
                : RequestedRest.OWN;
    }
}
