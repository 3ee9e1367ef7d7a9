package org.logophon.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.logophon.documents.DocumentUnusable;
import org.logophon.documents.Documents;
import org.logophon.documents.Opened;
import org.logophon.script.CueNumbers;
import org.logophon.script.FrozenNumbers;
import org.logophon.script.HandCuts;
import org.logophon.script.Script;
import org.logophon.script.Splitting;
import org.logophon.ssml.SsmlCue;
import org.logophon.ssml.SsmlReader;

/**
 * A script read from a file.
 *
 * @param name    file name without its ending
 * @param numbers of its cues
 * @param remarks what was left out or assumed, as sentences
 * @param directed the cues with the direction that SSML gives them; empty for a script of another kind
 */
public record ScriptFile(String name, Script script, List<String> numbers, List<String> remarks, List<SsmlCue> directed) {

    /** @throws InputUnusable with a sentence when the file is missing, no script, or holds no cue */
    public static ScriptFile read(Path path, Splitting asked, CueNumbers numbering, String language) throws IOException {
        if (!Files.isRegularFile(path)) {
            throw new InputUnusable(path + " is no file. Give the path of a script.");
        }
        if (Files.size(path) > Documents.MOST_BYTES) {
            throw new InputUnusable(path + " is over " + (Documents.MOST_BYTES >> 20) + " MB, which no script is. Give a text file.");
        }
        Opened opened;
        byte[] bytes = Files.readAllBytes(path);
        try {
            opened = Documents.open(path.getFileName().toString(), bytes, Map.of());
        } catch (DocumentUnusable bad) {
            throw new InputUnusable(bad.getMessage());
        }
        Splitting splitting = opened.cueByCue() ? Splitting.DEFAULT : asked;
        Script script = Script.parse(opened.script(), splitting, HandCuts.NONE, language);
        if (script.cues().isEmpty()) {
            throw new InputUnusable(path + " has nothing to speak. Write at least one line that is no heading and no note.");
        }
        List<SsmlCue> directed = new ArrayList<>();
        List<String> remarks = new ArrayList<>(opened.format().equals("SSML") ? direction(bytes, script, directed, opened.skipped()) : opened.skipped());
        List<String> numbers = numbers(opened, script, numbering);
        script.forced().forEach(cue -> remarks.add("Cue " + numbers.get(cue) + " ends inside a sentence: the whole sentence is over the size of a cue."));
        return new ScriptFile(opened.name(), script, numbers, remarks, directed);
    }

    /** @param directed gets the cues with their marks and readings. @param skipped what is left out where only the words can be read. @return remarks */
    private static List<String> direction(byte[] bytes, Script script, List<SsmlCue> directed, List<String> skipped) {
        SsmlReader.Document read;
        try {
            read = SsmlReader.read(new String(bytes, StandardCharsets.UTF_8));
        } catch (IllegalArgumentException unreadable) {
            List<String> remarks = new ArrayList<>(skipped);
            remarks.add("Only the words were read, without their direction: " + unreadable.getMessage() + " Save it in UTF-8.");
            return remarks;
        }
        boolean same = read.cues().size() == script.cues().size() && IntStream.range(0, read.cues().size()).allMatch(i -> read.cues().get(i).text().equals(script.cues().get(i).text()));
        if (!same) {
            return skipped;
        }
        directed.addAll(read.cues());
        return read.remarks();
    }

    private static List<String> numbers(Opened opened, Script script, CueNumbers numbering) {
        List<String> given = new ArrayList<>();
        Set<String> used = new HashSet<>();
        for (int i = 0; i < script.cues().size(); i++) {
            String number = opened.numbers().size() == script.cues().size() ? opened.numbers().get(i) : null;
            given.add(opened.numbers().isEmpty() ? numbering.at(i) : number);
            used.add(given.get(i));
        }
        return new FrozenNumbers(numbering, used).complete(given);
    }
}
