package org.logophon.cli.bench;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.align.LongCut;
import org.logophon.core.voice.recording.CueCutter;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;

/** Half an hour's recording, cut into its cues: two hours shall take a minute. */
final class CutBench {

    private static final int RATE = 16_000;
    private static final double SECONDS = 1_800;
    private static final double REST_SECONDS = 0.8;
    private static final double RIGHT = 0.99;
    private static final List<String> WHO = List.of(
            "The keeper",
            "My sister",
            "The harbour master",
            "A young sailor",
            "Our neighbour",
            "The painter",
            "Her brother");
    private static final List<String> DID = List.of(
            "walked along the cliff before the rain came",
            "counted seven ships, and smiled",
            "never spoke about that night",
            "has been waiting since early morning",
            "brought bread, oil and letters up the stairs");

    BenchResult run() throws Exception {
        try (WorkerPool pool = new WorkerPool(Runtime.getRuntime().availableProcessors())) {
            Engines engines = new Engines(pool);
            Resampler resampler = new WorkerResampler(pool);
            Voice person = NativeVoices.catalogue().find("marnie").orElseThrow();
            List<String> texts = new ArrayList<>();
            List<float[]> parts = new ArrayList<>();
            List<Double> starts = new ArrayList<>();
            int length = 0;
            for (int i = 0; length < SECONDS * RATE; i++) {
                String text = WHO.get(i % WHO.size()) + " " + DID.get(i % DID.size()) + ", and " + (i + 21)
                        + " lamps were lit.";
                float[] said = resampler
                        .resample(
                                engines.speak(new SpeechRequest(person, SpokenText.of(text), 1, 0))
                                        .sound(),
                                RATE)
                        .samples();
                texts.add(text);
                starts.add(length / (double) RATE);
                parts.add(said);
                parts.add(new float[(int) (REST_SECONDS * RATE)]);
                length += said.length + (int) (REST_SECONDS * RATE);
            }
            Sound recording = joined(parts, length);
            long began = System.nanoTime();
            List<LongCut.Said> cut = new CueCutter(engines, NativeVoices::quick, resampler)
                    .cut(SoundSource.of(recording), texts, "en-GB");
            double seconds = (System.nanoTime() - began) / 1e9;
            long right = cut.stream()
                    .filter(said -> Math.abs(said.fromSeconds() - starts.get(said.cue())) < 0.6)
                    .map(LongCut.Said::cue)
                    .distinct()
                    .count();
            if (right < RIGHT * texts.size()) {
                throw new IOException("Only " + right + " of " + texts.size() + " cues were found where they are.");
            }
            return new BenchResult(
                    "half an hour's recording cut into " + texts.size() + " cues",
                    "its own length",
                    seconds,
                    recording.seconds(),
                    "s",
                    120);
        }
    }

    private static Sound joined(List<float[]> parts, int length) {
        float[] all = new float[length];
        int at = 0;
        for (float[] part : parts) {
            System.arraycopy(part, 0, all, at, part.length);
            at += part.length;
        }
        return new Sound(all, RATE);
    }
}
