package org.logophon.render;

import java.util.ArrayList;
import java.util.List;
import org.logophon.mark.Ask;
import org.logophon.mark.Habits;
import org.logophon.mark.Mark;
import org.logophon.mark.Score;
import org.logophon.script.Sentences;

/**
 * The rests that a score asks for: a mark's before a habit's, and a habit's before the voice's own.
 *
 * @param language BCP 47 tag, for the ends of sentences
 * @param chances  −1…1 for each word
 */
record AskedRests(List<WordTime> words, int rate, Score score, String text, String language, List<Double> chances) {

    /** One for each word: the rest after it. */
    List<Rest> all() {
        List<Integer> sentences = Sentences.ends(text, language);
        List<Rest> rests = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            WordTime word = words.get(i);
            Rest rest = i + 1 < words.size() ? byHabit(word.end(), words.get(i + 1).start(), sentences, rate) : Rest.OWN;
            double chance = score.livelyPercent() == 0 ? 1 : 1 + Deed.CHANCE_REST * score.livelyPercent() / 100 * chances.get(i);
            rest = new Rest(rest.samples(), rest.exact(), chance, null);
            for (Mark mark : score.marks()) {
                if (mark.end() == word.end() && mark.ask() instanceof Ask.Pause pause) {
                    rest = new Rest(Math.round(pause.millis() * rate / 1000f), true, 1, rest.breath());
                } else if (mark.end() == word.end() && mark.ask() instanceof Ask.Breath breath) {
                    rest = new Rest(rest.samples(), rest.exact(), rest.share(), breath.depth());
                }
            }
            rests.add(rest);
        }
        return rests;
    }

    private Rest byHabit(int end, int next, List<Integer> sentences, int rate) {
        Habits habits = score.habits();
        boolean stop = sentences.stream().anyMatch(place -> place > end && place <= next);
        if (stop && habits.stopMillis() != null) {
            int millis = habits.leastMillis() == null ? habits.stopMillis() : Math.max(habits.leastMillis(), habits.stopMillis());
            return new Rest(millis * rate / 1000, true, 1, null);
        }
        if (stop && habits.leastMillis() != null) {
            return new Rest(habits.leastMillis() * rate / 1000, false, 1, null);
        }
        boolean comma = !stop && text.substring(end, next).chars().anyMatch(c -> ",;:—–،、，".indexOf(c) >= 0);
        return comma && habits.commaMillis() != null ? new Rest(habits.commaMillis() * rate / 1000, true, 1, null) : Rest.OWN;
    }
}
