package org.logophon.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.ScriptFile;
import org.logophon.cli.input.ScriptOptions;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.review.proof.CueToProof;
import org.logophon.core.review.proof.DetectedLanguage;
import org.logophon.core.review.proof.Finding;
import org.logophon.core.review.proof.Proof;
import org.logophon.core.review.proof.Suggestion;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.voice.Voice;
import org.logophon.speech.NativeVoices;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Proofs a script: prints what would be read wrongly, without making a sound. */
@Command(
        name = "check",
        description = "Prints what a voice would read wrongly in a script, and what to do.",
        mixinStandardHelpOptions = true)
final class CheckCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Mixin
    private ScriptOptions options;

    @Parameters(
            paramLabel = "SCRIPT",
            description = "A script: text, Markdown, docx, odt, rtf, pdf, html, SRT, WebVTT, CSV or SSML.")
    private Path script;

    @Option(names = "--json", description = "Print one JSON object, with what is read rightly too.")
    private boolean json;

    @Override
    public Integer call() throws IOException {
        List<String> warnings = new ArrayList<>();
        ReadingList readings = options.readings(warnings);
        Map<String, Voice> cast = options.cast();
        Voice narrator = options.voice();
        ScriptFile file = ScriptFile.read(
                script, options.splitting(ResolvedDirection.NEUTRAL), options.numbers(), narrator.language());
        warnings.addAll(options.own().warnings());
        warnings.addAll(file.remarks());
        warnings.addAll(options.unknownRoles(file.script().roles()));
        Proof proof = new Proof(
                List.of(), new DetectedLanguage(), NativeVoices.catalogue().all());
        List<CheckReport.FindingEntry> all = new ArrayList<>();
        PrintWriter out = spec.commandLine().getOut();
        int todo = 0;
        for (int i = 0; i < file.script().cues().size(); i++) {
            ScriptCue cue = file.script().cues().get(i);
            String number = file.numbers().get(i);
            Voice voice = cast.getOrDefault(cue.role().toLowerCase(Locale.ROOT), narrator);
            for (Finding finding :
                    proof.of(CueToProof.of(cue.text(), voice.language(), ScriptCue.MOST_CHARACTERS, readings))) {
                all.add(CheckReport.FindingEntry.of(number, finding));
                if (!finding.right()) {
                    todo++;
                    if (!json) {
                        out.println(line(number, finding));
                    }
                }
            }
        }
        if (json) {
            out.println(JsonMapper.builder()
                    .build()
                    .writerWithDefaultPrettyPrinter()
                    .writeValueAsString(new CheckReport(all, warnings)));
        } else {
            warnings.forEach(out::println);
            out.println(
                    todo == 0
                            ? "Nothing to look at."
                            : todo == 1 ? "1 place to look at." : todo + " places to look at.");
            long byRule = all.size() - todo;
            if (byRule > 0) {
                out.println((byRule == 1 ? "1 written form is" : byRule + " written forms are")
                        + " said by rule; --json has them.");
            }
        }
        out.flush();
        return ExitStatus.DONE;
    }

    private static String line(String number, Finding finding) {
        String suggestions = String.join(
                " | ", finding.suggestions().stream().map(Suggestion::sentence).toList());
        String text = finding.text().length() > 60 ? finding.text().substring(0, 57) + "…" : finding.text();
        return "%s  %s: %s %s%s"
                .formatted(
                        number,
                        text,
                        finding.kind().label(),
                        finding.reason(),
                        suggestions.isEmpty() ? "" : " → " + suggestions);
    }
}
