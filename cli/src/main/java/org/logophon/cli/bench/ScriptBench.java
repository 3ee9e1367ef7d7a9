package org.logophon.cli.bench;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.logophon.core.review.proof.CueToProof;
import org.logophon.core.review.proof.DetectedLanguage;
import org.logophon.core.review.proof.Proof;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.text.script.Splitting;

/** A script of 100,000 words, in a process that has just read its word lists: split, number, estimate, proof. */
final class ScriptBench {

    private static final int CUES = 2_000;
    private static final int WORDS = 50;
    private static final double BUDGET_SECONDS = 1.5;
    /** Made-up words with what proof has to look at: some eight places in a hundred words. */
    private static final String[] VOCABULARY =
            ("the lamp stood on a headland and nobody had lit it since the war because the oil was gone and "
                            + "the keeper slept while sea wind "
                            + "came over stone at night in 1911 with 2.3 t of glass under UV light for No. 4 "
                            + "at 4:52, Skerrow £38,500")
                    .split(" ");

    BenchResult run() {
        String script = script();
        work(script.substring(0, script.length() / 20));
        long start = System.nanoTime();
        int findings = work(script);
        double ours = (System.nanoTime() - start) / 1e9;
        if (findings < CUES) {
            throw new IllegalStateException("Proof found " + findings + " places in a script that holds more.");
        }
        return new BenchResult("100,000 words: split, number, estimate, proof", "1.5 s", ours, BUDGET_SECONDS, "s", 1);
    }

    private static int work(String source) {
        Script script = Script.parse(source, Splitting.DEFAULT, HandCuts.NONE, "en-GB");
        Proof proof = new Proof(List.of(), new DetectedLanguage(), List.of());
        return IntStream.range(0, script.cues().size())
                .parallel()
                .map(i -> {
                    String text = script.cues().get(i).text();
                    boolean numberedAndTimed =
                            !CueNumbers.DEFAULT.at(i).isEmpty() && ReferenceTime.seconds(text, "en-GB") > 0;
                    return numberedAndTimed
                            ? proof.of(CueToProof.of(text, "en-GB", ScriptCue.MOST_CHARACTERS, ReadingList.NONE))
                                    .size()
                            : 0;
                })
                .sum();
    }

    private static String script() {
        Random random = new Random(1);
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < CUES; i++) {
            for (int w = 0; w < WORDS; w++) {
                text.append(w == 0 ? "" : " ").append(VOCABULARY[random.nextInt(VOCABULARY.length)]);
            }
            text.append(".\n\n");
        }
        return text.toString();
    }
}
