package org.logophon.cli.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.DoubleAdder;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.text.script.Word;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;

/** Twenty cues, each with marks of every kind: how many seconds of speech in one second. */
final class MarksBench {

    /** Of the quickest engine: what the marks cost is to be seen. */
    private static final String VOICE = "isla";

    private static final int CUES = 20;
    private static final int ROUNDS = 3;
    private static final double TIMES_REAL = 60;
    private static final String TEXT =
            "The crew have one tide to lift it out, and the sling is rated for a little more. Each prism "
                    + "is cleaned, wrapped in paper, numbered, and laid in a crate.";

    BenchResult run() throws Exception {
        double best = Double.MAX_VALUE;
        try (WorkerPool pool = new WorkerPool(Runtime.getRuntime().availableProcessors())) {
            Tool.seconds(work(pool, ROUNDS, new DoubleAdder()));
            for (int round = 0; round < ROUNDS; round++) {
                DoubleAdder spoken = new DoubleAdder();
                double seconds = Tool.seconds(work(pool, round, spoken));
                best = Math.min(best, seconds * TIMES_REAL / spoken.sum());
            }
        }
        // brought to a minute of speech, so that both columns are seconds
        return new BenchResult("a minute of speech with marks", "1/60 of its time", best, 1, "s", 1);
    }

    private static List<Callable<Void>> work(WorkerPool pool, int round, DoubleAdder spoken) {
        Voice voice = NativeVoices.catalogue().find(VOICE).orElseThrow();
        List<Word> words = Words.of(TEXT);
        List<Callable<Void>> work = new ArrayList<>();
        for (int i = 0; i < CUES; i++) {
            double pitch = -2 - (i + round * CUES) / 100.0;
            work.add(() -> {
                // a narrator of its own: one that has said these words keeps them
                Narrator narrator = new Narrator(new Engines(pool), new WorkerResampler(pool));
                List<Mark> marks = List.of(
                        mark(words, 3, 7, new Instruction.Pitch(pitch)),
                        mark(words, 3, 5, new Instruction.Pace(85)),
                        mark(words, 1, 1, new Instruction.Stress(Instruction.Level.STRONG)),
                        mark(words, 8, 8, new Instruction.Pause(600)),
                        mark(words, 8, 8, new Instruction.Breath(Instruction.Depth.NORMAL)),
                        mark(words, 12, 14, new Instruction.Volume(-4)));
                Recipe recipe = Recipe.of(TEXT, voice, narrator.engineVersion(voice), ResolvedDirection.NEUTRAL)
                        .with(new Score(marks, PauseDefaults.NONE, 0, 0));
                spoken.add(narrator.render(recipe).sound().seconds());
                return null;
            });
        }
        return work;
    }

    private static Mark mark(List<Word> words, int from, int to, Instruction instruction) {
        return Mark.own(words.get(from).start(), words.get(to).end(), instruction);
    }
}
