package org.logophon.app.services.project;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.Splitting;
import org.springframework.stereotype.Component;

/** Scripts as they fall into cues. The last few stay in memory: a save, its margin and its proof read the same text. */
@Component
public class ScriptParsing {

    private static final long MOST_BYTES = 48L << 20;
    /** Of a cue beside its text: its places in the source, one for each character. */
    private static final int BYTES_A_CUE = 200;

    private final Cache<Key, Script> remembered = Caffeine.newBuilder()
            .maximumWeight(MOST_BYTES)
            .weigher((Key key, Script script) -> weight(key, script))
            .build();

    /** All that a split depends on. */
    private record Key(String text, Splitting splitting, HandCuts cuts, String language) {}

    public Script of(Project project) {
        return of(project.script(), project.shape(), project.language());
    }

    public Script of(String text, ScriptShape shape, String language) {
        Key key = new Key(text, shape.splitting(), shape.cuts(), language);
        Script known = remembered.getIfPresent(key);
        if (known == null) {
            // two threads may parse the same at once: that costs less than one waiting for the other
            known = Script.parse(text, key.splitting(), key.cuts(), language);
            remembered.put(key, known);
        }
        return known;
    }

    private static int weight(Key key, Script script) {
        return key.text().length() * 8 + script.cues().size() * BYTES_A_CUE;
    }
}
