package org.logophon.core.voice.render;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Optional;

/**
 * The cache of what voices said last, before marks: a change of marks does nothing to it, so that it needn't be said
 * and measured again. Safe for use by several threads.
 */
final class RecentSpeech {

    /** 64 MB: about twelve minutes at 22,050 samples a second. */
    private static final long MOST_BYTES = 64_000_000;

    private final Cache<String, Speech> byRecipe;

    RecentSpeech() {
        this(MOST_BYTES);
    }

    RecentSpeech(long mostBytes) {
        byRecipe = Caffeine.newBuilder()
                .maximumWeight(mostBytes)
                .weigher((String recipe, Speech speech) ->
                        Float.BYTES * speech.sound().samples().length)
                .executor(Runnable::run)
                .build();
    }

    Optional<Speech> find(String recipe) {
        return Optional.ofNullable(byRecipe.getIfPresent(recipe));
    }

    void keep(String recipe, Speech speech) {
        byRecipe.put(recipe, speech);
    }
}
