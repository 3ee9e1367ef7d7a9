package org.logophon.speech;

import java.util.HashMap;
import java.util.Map;
import org.logophon.core.render.PiecewiseEngine;
import org.logophon.core.render.SpeechEngine;
import org.logophon.core.render.SpeechFailed;
import org.logophon.core.render.SpeechRequest;
import org.logophon.core.render.Utterance;
import org.logophon.core.voice.Voice;
import org.logophon.speech.hired.HiredEngine;
import org.logophon.speech.hired.HiredService;

/** Every engine under one roof: a request goes to the one that has the voice. */
public final class Engines implements SpeechEngine {

    private final Map<String, SpeechEngine> byName;

    public Engines(WorkerPool pool) {
        this(pool, null);
    }

    /** @param hired an outside service's voices; null for none */
    public Engines(WorkerPool pool, HiredEngine hired) {
        Map<String, SpeechEngine> engines = new HashMap<>(Map.of(
                EspeakVoices.ENGINE,
                new EspeakEngine(pool),
                FliteVoices.ENGINE,
                new FliteEngine(pool),
                FestivalVoices.ENGINE,
                new FestivalEngine(pool)));
        if (hired != null) {
            engines.put(HiredService.ENGINE, new PiecewiseEngine(hired));
        }
        this.byName = Map.copyOf(engines);
    }

    @Override
    public String version(Voice voice) {
        return engine(voice).version(voice);
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        return engine(request.voice()).speak(request);
    }

    private SpeechEngine engine(Voice voice) {
        SpeechEngine engine = byName.get(voice.engine());
        if (engine == null) {
            throw new SpeechFailed("The engine of the voice " + voice.name() + " isn't here. Cast another voice.");
        }
        return engine;
    }
}
