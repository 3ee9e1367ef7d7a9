package org.logophon.speech;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.align.TimedEngine;
import org.logophon.core.voice.render.PiecewiseEngine;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.Utterance;
import org.logophon.speech.hired.HiredEngine;
import org.logophon.speech.hired.HiredService;
import org.logophon.speech.own.OwnEngine;

/** Every engine under one roof: a request goes to the one that has the voice. */
public final class Engines implements SpeechEngine {

    private final Map<String, SpeechEngine> byName;
    /** Has every other voice; null for none. */
    private final SpeechEngine others;

    /** Those that come with the machine. */
    public Engines(WorkerPool pool) {
        this.byName = Map.of(
                EspeakVoices.ENGINE,
                new EspeakEngine(pool),
                FliteVoices.ENGINE,
                new FliteEngine(pool),
                FestivalVoices.ENGINE,
                new FestivalEngine(pool));
        this.others = null;
    }

    public Engines(WorkerPool pool, HiredEngine hired, List<OwnEngine> own) {
        this(new Engines(pool), hired, own);
    }

    /**
     * @param natives those that come with the machine; they tell the word times of one that doesn't
     * @param hired   an outside service's voices; null for none
     * @param own     engines of the user's own
     */
    public Engines(SpeechEngine natives, HiredEngine hired, List<OwnEngine> own) {
        Map<String, SpeechEngine> engines = new HashMap<>();
        if (hired != null) {
            engines.put(HiredService.ENGINE, piecewise(hired, natives));
        }
        own.forEach(engine -> engines.put(engine.family(), piecewise(engine.speaker(), natives)));
        this.byName = Map.copyOf(engines);
        this.others = natives;
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
        SpeechEngine engine = byName.getOrDefault(voice.engine(), others);
        if (engine == null) {
            throw new SpeechFailed("The engine of the voice " + voice.name() + " isn't here. Cast another voice.");
        }
        return engine;
    }
}
