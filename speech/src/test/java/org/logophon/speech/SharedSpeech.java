package org.logophon.speech;

import java.lang.ref.SoftReference;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.VoiceFigures;
import org.logophon.core.voice.figures.VoiceMeter;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.Utterance;

/** The engines that all tests share: worker processes are started once, and what was said once isn't said anew. */
public final class SharedSpeech {

    public static final WorkerPool POOL = new WorkerPool(2);

    public static final SpeechEngine ENGINES = remembering(new Engines(POOL));

    private static final Map<Voice, VoiceFigures> FIGURES = new ConcurrentHashMap<>();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(POOL::close));
    }

    /** Of what holds for every voice each eighth is tried, and all of it by {@code ./logophon fuzz}. */
    private static final boolean EACH = Boolean.getBoolean("logophon.promises");

    private static final int SOME = 8;

    private SharedSpeech() {}

    /** Whether the n-th of many is tried. */
    static boolean tried(int n) {
        return EACH || n % SOME == 0;
    }

    /** Some of many, or all of them. */
    static <T> List<T> some(List<T> all) {
        return each(SOME, all);
    }

    /** Each n-th of many, where a share of them is promised something; or all of them. */
    static <T> List<T> each(int n, List<T> all) {
        return IntStream.range(0, all.size())
                .filter(i -> EACH || i % n == 0)
                .mapToObj(all::get)
                .toList();
    }

    /** An engine that says the same words in the same way only once, as long as there is room to remember them. */
    public static SpeechEngine remembering(SpeechEngine engine) {
        return new Remembering(engine, new ConcurrentHashMap<>());
    }

    /** What is measured on a voice, which is much work: once for all tests. */
    static VoiceFigures figures(Voice voice) {
        return FIGURES.computeIfAbsent(
                voice, one -> VoiceMeter.measure(new Narrator(ENGINES, new WorkerResampler(POOL)), one));
    }

    private record Remembering(SpeechEngine engine, Map<SpeechRequest, SoftReference<Utterance>> said)
            implements SpeechEngine {

        @Override
        public String version(Voice voice) {
            return engine.version(voice);
        }

        @Override
        public double paceToAsk(Voice voice, double paceFactor) {
            return engine.paceToAsk(voice, paceFactor);
        }

        @Override
        public Utterance speak(SpeechRequest request) {
            SoftReference<Utterance> before = said.get(request);
            Utterance known = before == null ? null : before.get();
            if (known != null) {
                return known;
            }
            Utterance made = engine.speak(request);
            said.put(request, new SoftReference<>(made));
            return made;
        }
    }
}
