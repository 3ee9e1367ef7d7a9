package org.logophon.speech;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.logophon.core.align.TimedEngine;
import org.logophon.core.render.PiecewiseEngine;
import org.logophon.core.render.SpeechEngine;
import org.logophon.core.render.SpeechFailed;
import org.logophon.core.render.SpeechRequest;
import org.logophon.core.render.Utterance;
import org.logophon.core.voice.Voice;
import org.logophon.speech.hired.HiredEngine;
import org.logophon.speech.hired.HiredService;
import org.logophon.speech.own.OwnEngine;

/** Every engine under one roof: a request goes to the one that has the voice. */
public final class Engines implements SpeechEngine {

    private final Map<String, SpeechEngine> byName;

    public Engines(WorkerPool pool) {
        this(pool, null, List.of());
    }

    /**
     * @param hired an outside service's voices; null for none
     * @param own   engines of the user's own
     */
    public Engines(WorkerPool pool, HiredEngine hired, List<OwnEngine> own) {
        Map<String, SpeechEngine> natives = Map.of(
                EspeakVoices.ENGINE,
                new EspeakEngine(pool),
                FliteVoices.ENGINE,
                new FliteEngine(pool),
                FestivalVoices.ENGINE,
                new FestivalEngine(pool));
        SpeechEngine telling = new Engines(natives);
        Map<String, SpeechEngine> engines = new HashMap<>(natives);
        if (hired != null) {
            engines.put(HiredService.ENGINE, piecewise(hired, telling));
        }
        own.forEach(engine -> engines.put(engine.family(), piecewise(engine.speaker(), telling)));
        this.byName = Map.copyOf(engines);
    }

    private Engines(Map<String, SpeechEngine> byName) {
        this.byName = byName;
    }

    /** Piece by piece what is over its limit, and each piece with word times. */
    private static SpeechEngine piecewise(SpeechEngine outside, SpeechEngine telling) {
        return new PiecewiseEngine(new TimedEngine(outside, telling, NativeVoices::telling));
    }

    @Override
    public String version(Voice voice) {
        return engine(voice).version(voice);
    }

    @Override
    public double paceToAsk(Voice voice, double paceFactor) {
        return engine(voice).paceToAsk(voice, paceFactor);
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
