package org.logophon.cli.input;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.text.reading.ReadingList;
import org.logophon.core.text.reading.ReadingsFile;
import org.logophon.core.text.script.CueNumbers;
import org.logophon.core.text.script.Splitting;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.figures.SpeakingRateTable;
import org.logophon.speech.NativeVoices;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** What narrating and checking a script have in common: how it is split, numbered, cast and read. */
public final class ScriptOptions {

    private final HiredVoices hired = HiredVoices.of(System.getenv());
    private final OwnEngines own = OwnEngines.of(System.getenv());

    @Spec(Spec.Target.MIXEE)
    private CommandSpec spec;

    @Option(
            names = "--voice",
            paramLabel = "ID",
            defaultValue = NativeVoices.DEFAULT_ID,
            description = "Voice of every role that --cast doesn't name (${DEFAULT-VALUE}).")
    private String voice;

    @Option(names = "--cast", paramLabel = "ROLE=ID", description = "Voice of a role; repeatable.")
    private Map<String, String> cast = new LinkedHashMap<>();

    @Option(
            names = "--split",
            paramLabel = "WAY",
            defaultValue = "blank-line",
            description = "Where a cue ends: blank-line, two-blank-lines, line, sentence, heading, divider, "
                    + "characters:N, words:N or seconds:N (${DEFAULT-VALUE}).")
    private String split;

    @Option(
            names = "--number-from",
            paramLabel = "N",
            defaultValue = "10",
            description = "First cue number (${DEFAULT-VALUE}).")
    private int numberFrom;

    @Option(
            names = "--number-step",
            paramLabel = "N",
            defaultValue = "10",
            description = "Step between numbers (${DEFAULT-VALUE}).")
    private int numberStep;

    @Option(
            names = "--number-width",
            paramLabel = "N",
            defaultValue = "3",
            description = "Digits at least (${DEFAULT-VALUE}).")
    private int numberWidth;

    @Option(
            names = "--readings",
            paramLabel = "FILE",
            description = "Readings, CSV or PLS 1.0; repeatable, the first overrides.")
    private List<Path> readings = new ArrayList<>();

    public CueNumbers numbers() {
        return usage(() -> new CueNumbers(numberFrom, numberStep, numberWidth, ""));
    }

    /** @param direction of all voices: cues of some seconds are cut by how fast they speak */
    public Splitting splitting(ResolvedDirection direction) {
        Splitting asked = usage(() -> Splitting.parse(split));
        return asked.at(Stream.concat(Stream.of(voice()), cast().values().stream())
                .mapToDouble(one -> SpeakingRateTable.tempo(one, direction))
                .max()
                .orElse(1));
    }

    /** Role in lower case to voice. */
    public Map<String, Voice> cast() {
        Map<String, Voice> voices = new LinkedHashMap<>();
        cast.forEach((role, id) -> voices.put(role.toLowerCase(Locale.ROOT), find(id)));
        return voices;
    }

    /** Sentences about voices that were cast for roles which no script has. @param roles of the scripts */
    public List<String> unknownRoles(Collection<String> roles) {
        Set<String> known =
                roles.stream().map(role -> role.toLowerCase(Locale.ROOT)).collect(Collectors.toSet());
        return cast.keySet().stream()
                .filter(role -> !known.contains(role.toLowerCase(Locale.ROOT)))
                .map(role -> "--cast names " + role + ", and nobody of that name speaks here. The roles are "
                        + String.join(", ", new TreeSet<>(roles)) + ".")
                .toList();
    }

    public Voice voice() {
        return find(voice);
    }

    /** @param warnings gets what could not be taken from the files */
    public ReadingList readings(List<String> warnings) throws IOException {
        List<List<org.logophon.core.text.reading.Reading>> lists = new ArrayList<>();
        for (Path file : readings) {
            if (Files.isDirectory(file)) {
                throw new InputUnusable(file + " is a folder. --readings takes a list of readings, CSV or PLS 1.0.");
            }
            try {
                ReadingsFile read = ReadingsFile.read(Files.readString(file, StandardCharsets.UTF_8));
                read.skipped().forEach(sentence -> warnings.add(file + ": " + sentence));
                lists.add(read.readings());
            } catch (NoSuchFileException missing) {
                throw new InputUnusable(file + " is no file. Give the path of a list of readings.");
            } catch (IllegalArgumentException bad) {
                throw new InputUnusable(file + ": " + bad.getMessage());
            } catch (java.nio.charset.CharacterCodingException notText) {
                throw new InputUnusable(file + " is not in UTF-8. Save it as plain text in UTF-8.");
            }
        }
        return new ReadingList(lists);
    }

    /** The service of the hired voices that are cast. */
    public HiredVoices hired() {
        return hired;
    }

    /** The engines of the user's own. */
    public OwnEngines own() {
        return own;
    }

    private Voice find(String id) {
        VoiceCatalogue catalogue = NativeVoices.catalogue();
        return catalogue
                .find(id)
                .or(() -> Stream.concat(own.voices().stream(), hired.all().stream())
                        .filter(voice -> voice.id().equalsIgnoreCase(id))
                        .findFirst())
                .orElseThrow(() -> new ParameterException(
                        spec.commandLine(), "There is no voice " + id + ". ./logophon voices lists them."));
    }

    private <T> T usage(java.util.function.Supplier<T> value) {
        try {
            return value.get();
        } catch (IllegalArgumentException bad) {
            throw new ParameterException(spec.commandLine(), bad.getMessage());
        }
    }
}
