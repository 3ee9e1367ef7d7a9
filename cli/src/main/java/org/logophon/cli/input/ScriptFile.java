package org.logophon.cli.input;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.FrozenNumbers;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.Splitting;
import org.logophon.documents.DocumentUnusable;
import org.logophon.documents.Documents;
import org.logophon.documents.OpenedDocument;
import org.logophon.documents.worker.DocumentOpener;

/**
 * A script read from a file.
 *
 * @param name    file name without its ending
 * @param numbers of its cues
 * @param remarks what was left out or assumed, as sentences
 * @param directed the cues with the direction that SSML gives them; empty for a script of another kind
 * @param language BCP 47 tag that the script itself names; empty for none
 */
public record ScriptFile(
        String name,
        Script script,
        List<String> numbers,
        List<String> remarks,
        List<SsmlCue> directed,
        String language) {

    /** @throws InputUnusable with a sentence when the file is missing, no script, or holds no cue */
    public static ScriptFile read(Path path, Splitting asked, CueNumbers numbering, String language)
            throws IOException {
        if (!Files.isRegularFile(path)) {
            throw new InputUnusable(path + " is no file. Give the path of a script.");
        }
        if (Files.size(path) > Documents.MOST_BYTES) {
            throw new InputUnusable(
                    path + " is over " + (Documents.MOST_BYTES >> 20) + " MB, which no script is. Give a text file.");
        }
        OpenedDocument opened;
        byte[] bytes = Files.readAllBytes(path);
        try {
            opened = DocumentOpener.open(path.getFileName().toString(), bytes, Map.of());
        } catch (DocumentUnusable bad) {
            throw new InputUnusable(bad.getMessage());
        }
        Splitting splitting = opened.cueByCue() ? Splitting.DEFAULT : asked;
        Script script = Script.parse(opened.script(), splitting, HandCuts.NONE, language);
        if (script.cues().size() > Script.MOST_CUES) {
            throw new InputUnusable("%s has %,d cues, and a script holds at most %,d. Make several files of it."
                    .formatted(path, script.cues().size(), Script.MOST_CUES));
        }
        if (script.cues().isEmpty()) {
            throw new InputUnusable(
                    path + " has nothing to speak. Write at least one line that is no heading and no note.");
        }
        List<String> remarks = new ArrayList<>(opened.skipped());
        List<String> numbers = numbers(opened, script, numbering);
        script.forced()
                .forEach(cue -> remarks.add("Cue " + numbers.get(cue)
                        + " ends inside a sentence: the whole sentence is over the size of a cue."));
        return new ScriptFile(opened.name(), script, numbers, remarks, directed(opened, script), opened.language());
    }

    /** Where a script can't hold a cue's words as they are, they go without their direction. */
    private static List<SsmlCue> directed(OpenedDocument opened, Script script) {
        if (opened.directed().size() != script.cues().size()) {
            return List.of();
        }
        return IntStream.range(0, script.cues().size())
                .mapToObj(i -> {
                    SsmlCue cue = opened.directed().get(i);
                    String text = script.cues().get(i).text();
                    return cue.text().equals(text)
                            ? cue
                            : new SsmlCue(text, cue.voice(), cue.direction(), Marks.NONE, List.of(), Map.of());
                })
                .toList();
    }

    private static List<String> numbers(OpenedDocument opened, Script script, CueNumbers numbering) {
        List<String> given = new ArrayList<>();
        Set<String> used = new HashSet<>();
        for (int i = 0; i < script.cues().size(); i++) {
            String number = opened.numbers().size() == script.cues().size()
                    ? opened.numbers().get(i)
                    : null;
            given.add(opened.numbers().isEmpty() ? numbering.at(i) : number);
            used.add(given.get(i));
        }
        return new FrozenNumbers(numbering, used).complete(given);
    }
}
