package org.logophon.cli.narrate;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speech;

/** What was spoken before, by its recipe, while there is room for it: who says the same again needs no engine. */
final class KeptSpeech {

    private final long mostSamples;
    private final Map<String, Speech> known = new LinkedHashMap<>(16, 0.75f, true);
    private long samples;
    private int rendered;

    /** @param mostSamples 0 keeps nothing */
    KeptSpeech(long mostSamples) {
        this.mostSamples = mostSamples;
    }

    Speech of(Recipe recipe, Function<Recipe, Speech> render) {
        String hash = recipe.hash();
        synchronized (known) {
            Speech before = known.get(hash);
            if (before != null) {
                return before;
            }
        }
        Speech speech = render.apply(recipe);
        synchronized (known) {
            rendered++;
            if (mostSamples > 0 && known.put(hash, speech) == null) {
                samples += length(speech);
            }
            while (samples > mostSamples && !known.isEmpty()) {
                String oldest = known.keySet().iterator().next();
                samples -= length(known.remove(oldest));
            }
        }
        return speech;
    }

    private static long length(Speech speech) {
        return speech.sound().samples().length;
    }

    /** How many were rendered since it was last asked. */
    int renderedSince() {
        synchronized (known) {
            int since = rendered;
            rendered = 0;
            return since;
        }
    }
}
