package org.logophon.cli.bench;

import java.util.List;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.align.WordAligner;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.core.voice.render.Utterance;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;

/** The slowest engine against the length of what it says, and finding the word times of ten seconds. */
final class EngineBench {

    private static final String TEXT =
            "The crew have one tide to lift it out, and the sling is rated for a little more. By autumn "
                    + "the brass is bright again, and the bearing turns without a sound.";
    private static final int ROUNDS = 5;
    private static final double ALIGN_SECONDS = 0.15;
    private static final double CUE_SECONDS = 10;

    List<BenchResult> run() throws Exception {
        try (WorkerPool pool = new WorkerPool(1)) {
            Engines engines = new Engines(pool);
            return NativeVoices.catalogue().find("verity").isPresent()
                    ? List.of(festival(engines), words(engines))
                    : List.of(words(engines));
        }
    }

    private static Utterance say(Engines engines, String voice) {
        Voice found = NativeVoices.catalogue().find(voice).orElseThrow();
        return engines.speak(new SpeechRequest(found, SpokenText.of(TEXT), 1, 0));
    }

    private static BenchResult festival(Engines engines) {
        double sound = say(engines, "verity").sound().seconds();
        double best = Double.MAX_VALUE;
        for (int round = 0; round < ROUNDS; round++) {
            long began = System.nanoTime();
            say(engines, "verity");
            best = Math.min(best, (System.nanoTime() - began) / 1e9);
        }
        return new BenchResult("Festival says two sentences, one core", "their length", best, sound, "s", 10);
    }

    private static BenchResult words(Engines engines) {
        List<Utterance> references =
                NativeVoices.telling(NativeVoices.catalogue().find("marnie").orElseThrow()).stream()
                        .map(voice -> say(engines, voice.id()))
                        .toList();
        Sound sound = say(engines, "marnie").sound();
        double best = Double.MAX_VALUE;
        for (int round = 0; round < ROUNDS; round++) {
            long began = System.nanoTime();
            WordAligner.starts(references, sound);
            best = Math.min(best, (System.nanoTime() - began) / 1e9);
        }
        return new BenchResult(
                "word times of ten seconds, from three voices",
                ALIGN_SECONDS + " s",
                best * CUE_SECONDS / sound.seconds(),
                ALIGN_SECONDS,
                "s",
                1);
    }
}
