package org.logophon.cli.recording;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.IntStream;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.InputUnusable;
import org.logophon.cli.input.ScriptFile;
import org.logophon.cli.recording.HeldScript.HeldCue;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.Splitting;
import org.logophon.core.voice.check.TakeFinding;
import org.logophon.core.voice.render.WordTime;
import org.logophon.speech.WorkerPool;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Says when each word of a script sounds in a recording of it. */
@Command(
        name = "align",
        description = "Finds each word of a script in a recording of it, and what doesn't fit.",
        mixinStandardHelpOptions = true)
public final class AlignCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Parameters(index = "0", paramLabel = "AUDIO", description = "WAV, FLAC, MP3, M4A, Opus, OGG or a video's sound.")
    private Path audio;

    @Parameters(index = "1", paramLabel = "SCRIPT", description = "What is said in it.")
    private Path script;

    @Option(names = "--language", defaultValue = "en-GB", description = "Of what is said, BCP 47 (${DEFAULT-VALUE}).")
    private String language;

    @Option(names = "--json", description = "Print one JSON object.")
    private boolean json;

    /** @param cue number @param doubt 0–1 */
    record WordEntry(String cue, String word, double startSeconds, double endSeconds, double doubt) {}

    record FindingEntry(String cue, String kind, String sentence, double startSeconds, double endSeconds) {}

    record Report(List<WordEntry> words, List<FindingEntry> findings, List<String> leftOut) {}

    @Override
    public Integer call() throws IOException {
        ScriptFile file = ScriptFile.read(script, Splitting.DEFAULT, CueNumbers.DEFAULT, language);
        Report report;
        try (RecordingFile recording =
                        RecordingFile.open(audio, spec.commandLine().getErr());
                WorkerPool pool = new WorkerPool(Runtime.getRuntime().availableProcessors())) {
            report = report(file, HeldScript.of(recording, file, language, pool));
        }
        if (report.words().isEmpty()) {
            throw new InputUnusable("None of the script's words was found in " + audio.getFileName()
                    + ". Is it a recording of this script, and is --language right?");
        }
        PrintWriter out = spec.commandLine().getOut();
        if (json) {
            out.println(JsonMapper.builder()
                    .build()
                    .writerWithDefaultPrettyPrinter()
                    .writeValueAsString(report));
        } else {
            report.words()
                    .forEach(word -> out.printf(
                            Locale.ROOT,
                            "%s  %8.3f  %s%s%n",
                            word.cue(),
                            word.startSeconds(),
                            word.word(),
                            word.doubt() >= 0.5 ? "  ?" : ""));
            report.findings().forEach(finding -> out.println(finding.cue() + "  " + finding.sentence()));
            report.leftOut().forEach(number -> out.println(number + "  isn't said in it."));
        }
        out.flush();
        return ExitStatus.DONE;
    }

    private static Report report(ScriptFile file, List<HeldCue> held) {
        List<WordEntry> words = new ArrayList<>();
        List<FindingEntry> findings = new ArrayList<>();
        for (HeldCue cue : held) {
            String number = file.numbers().get(cue.cue());
            double rate = cue.sound().rate();
            for (int i = 0; i < cue.held().words().size(); i++) {
                WordTime word = cue.held().words().get(i);
                words.add(new WordEntry(
                        number,
                        cue.text().substring(word.start(), word.end()),
                        rounded(cue.fromSeconds() + word.startSample() / rate),
                        rounded(cue.fromSeconds() + word.endSample() / rate),
                        rounded(cue.held().doubts().get(i))));
            }
            for (TakeFinding finding : cue.held().findings()) {
                findings.add(new FindingEntry(
                        number,
                        finding.kind().id(),
                        finding.sentence(),
                        rounded(cue.fromSeconds() + finding.fromSeconds()),
                        rounded(cue.fromSeconds() + finding.toSeconds())));
            }
        }
        List<String> left = IntStream.range(0, file.numbers().size())
                .filter(cue -> held.stream().noneMatch(one -> one.cue() == cue))
                .mapToObj(file.numbers()::get)
                .toList();
        return new Report(words, findings, left);
    }

    private static double rounded(double value) {
        return Math.round(value * 1e4) / 1e4;
    }
}
