package org.logophon.app.project;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.logophon.core.script.HandCuts;
import org.logophon.core.script.Script;
import org.logophon.core.script.Splitting;
import org.springframework.stereotype.Component;

/** Scripts as they fall into cues. The last few stay in memory: a save, its margin and its proof read the same text. */
@Component
public class ScriptParsing {

    private static final int MOST_REMEMBERED = 6;

    private final Map<Key, Script> remembered = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Script> eldest) {
            return size() > MOST_REMEMBERED;
        }
    });

    /** All that a split depends on. */
    private record Key(String text, Splitting splitting, HandCuts cuts, String language) {}

    public Script of(Project project) {
        return of(project.script(), project.shape(), project.language());
    }

    public Script of(String text, ScriptShape shape, String language) {
        Key key = new Key(text, shape.splitting(), shape.cuts(), language);
        Script known = remembered.get(key);
        if (known == null) {
            // two threads may parse the same at once: that costs less than one waiting for the other
            known = Script.parse(text, key.splitting(), key.cuts(), language);
            remembered.put(key, known);
        }
        return known;
    }
}
