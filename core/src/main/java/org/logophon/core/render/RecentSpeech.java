package org.logophon.core.render;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What voices said last, before marks: a change of marks does nothing to it, so that it needn't be said and measured
 * again.
 * Safe for use by several threads.
 */
final class RecentSpeech {

    /** About twelve minutes at 22,050 samples a second: 64 MB. */
    private static final long MOST_SAMPLES = 16_000_000;

    private final long most;
    private final Map<String, Speech> byRecipe = new LinkedHashMap<>(16, 0.75f, true);
    private long samples;

    RecentSpeech() {
        this(MOST_SAMPLES);
    }

    RecentSpeech(long most) {
        this.most = most;
    }

    synchronized Optional<Speech> find(String recipe) {
        return Optional.ofNullable(byRecipe.get(recipe));
    }

    synchronized void keep(String recipe, Speech speech) {
        Speech before = byRecipe.put(recipe, speech);
        samples += speech.sound().samples().length
                - (before == null ? 0 : before.sound().samples().length);
        Iterator<Speech> oldest = byRecipe.values().iterator();
        while (samples > most && oldest.hasNext()) {
            samples -= oldest.next().sound().samples().length;
            oldest.remove();
        }
    }
}
