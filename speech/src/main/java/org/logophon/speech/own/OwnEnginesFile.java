package org.logophon.speech.own;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Making;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.error.MarkedYAMLException;
import org.yaml.snakeyaml.error.YAMLException;
import org.yaml.snakeyaml.nodes.Node;

/**
 * The settings file of a user's own engines (docs/engines.md).
 *
 * @param engines those that nothing is wrong with
 * @param wrong   a sentence each, with its line
 */
public record OwnEnginesFile(List<OwnEngine> engines, List<String> wrong) {

    public static final OwnEnginesFile NONE = new OwnEnginesFile(List.of(), List.of());

    private static final String PREFIX = "own-";
    private static final int MOST_BYTES = 1 << 20;
    private static final int MOST_VOICES = 500;
    private static final Pattern ID = Pattern.compile("[a-z0-9][a-z0-9-]{0,40}");
    private static final Pattern PLACE = Pattern.compile("\\{[a-z]*}");
    private static final Set<String> PLACES = Set.of("{text}", "{sound}", "{voice}", "{pace}", "{pitch}");
    private static final Map<String, OwnDial.Way> PACE_WAYS =
            Map.of("multiplied", OwnDial.Way.MULTIPLIED, "divided", OwnDial.Way.DIVIDED);
    private static final Map<String, OwnDial.Way> PITCH_WAYS =
            Map.of("multiplied", OwnDial.Way.MULTIPLIED, "divided", OwnDial.Way.DIVIDED, "added", OwnDial.Way.ADDED);

    public OwnEnginesFile {
        engines = List.copyOf(engines);
        wrong = List.copyOf(wrong);
    }

    /** Of all engines. */
    public List<Voice> voices() {
        return engines.stream().flatMap(engine -> engine.voices().stream()).toList();
    }

    /** No engines without a file, and a sentence when it can't be read. */
    public static OwnEnginesFile read(Path file) {
        try {
            if (Files.size(file) > MOST_BYTES) {
                return new OwnEnginesFile(
                        List.of(), List.of("It is larger than 1 MB, too large for a list of engines."));
            }
            return parse(Files.readString(file, StandardCharsets.UTF_8));
        } catch (CharacterCodingException notText) {
            return new OwnEnginesFile(List.of(), List.of("It is not in UTF-8. Save it as plain text in UTF-8."));
        } catch (IOException unreadable) {
            return new OwnEnginesFile(
                    List.of(), List.of("It can't be read. See that it is there, and that you may read it."));
        }
    }

    static OwnEnginesFile parse(String text) {
        List<String> wrong = new ArrayList<>();
        LoaderOptions options = new LoaderOptions();
        options.setMaxAliasesForCollections(20);
        options.setNestingDepthLimit(12);
        Node root;
        try {
            root = new Yaml(options).compose(new java.io.StringReader(text));
        } catch (MarkedYAMLException bad) {
            return new OwnEnginesFile(
                    List.of(),
                    List.of("line %d: this isn't YAML: %s."
                            .formatted(
                                    bad.getProblemMark() == null
                                            ? 1
                                            : bad.getProblemMark().getLine() + 1,
                                    bad.getProblem())));
        } catch (YAMLException bad) {
            return new OwnEnginesFile(List.of(), List.of("This isn't YAML that can be read."));
        }
        if (root == null) {
            return NONE;
        }
        YamlFields file = new YamlFields(root, "the file", wrong);
        List<OwnEngine> engines = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (YamlFields fields : file.parts("engines", "an engine")) {
            int before = wrong.size();
            OwnEngine engine = engine(fields, ids, wrong);
            if (wrong.size() == before) {
                engines.add(engine);
            }
        }
        file.end();
        return new OwnEnginesFile(engines, wrong);
    }

    private static OwnEngine engine(YamlFields fields, Set<String> ids, List<String> wrong) {
        String id = id(fields, ids);
        String name = fields.text("name", id);
        List<String> command = fields.texts("command");
        boolean textInFile = fields.one("text", Map.of("file", true, "input", false), false);
        boolean soundInFile = fields.one("sound", Map.of("file", true, "output", false), false);
        List<String> version = fields.texts("version");
        YamlFields environment = fields.part("environment", "“environment”");
        Map<String, String> variables = environment == null ? Map.of() : environment.pairs();
        OwnDial pace = dial(fields.part("pace", "“pace”"), PACE_WAYS);
        OwnDial pitch = dial(fields.part("pitch", "“pitch”"), PITCH_WAYS);
        OwnLimits limits = limits(fields.part("limits", "“limits”"));
        check(fields, command, version, textInFile, soundInFile, pace, pitch);
        List<Voice> voices = new ArrayList<>();
        Set<String> voiceIds = new HashSet<>();
        boolean byVoice = command.stream().anyMatch(word -> word.contains("{voice}"));
        for (YamlFields voice : fields.parts("voices", "a voice")) {
            voices.add(voice(voice, id, byVoice, voiceIds, pace != null, pitch != null, limits));
        }
        if (voices.isEmpty() || voices.size() > MOST_VOICES) {
            fields.wrong("an engine has 1 to " + MOST_VOICES + " voices.");
        }
        fields.end();
        return new OwnEngine(
                id, name, command, textInFile, soundInFile, version, variables, pace, pitch, limits, voices);
    }

    private static String id(YamlFields fields, Set<String> ids) {
        String id = fields.text("id");
        if (!id.isEmpty() && !ID.matcher(id).matches()) {
            fields.wrong("an “id” is small letters, digits and hyphens, as in “reader-2”.");
        } else if (!id.isEmpty() && !ids.add(id)) {
            fields.wrong("the id “" + id + "” stands twice.");
        }
        return id;
    }

    private static OwnDial dial(YamlFields fields, Map<String, OwnDial.Way> ways) {
        if (fields == null) {
            return null;
        }
        OwnDial.Way way = fields.one("way", ways, null);
        OwnDial dial = new OwnDial(
                fields.number("normal", 1, -100_000, 100_000),
                way == null ? OwnDial.Way.MULTIPLIED : way,
                fields.number("semitone", 0, -100_000, 100_000),
                fields.number("least", -100_000, -100_000, 100_000),
                fields.number("most", 100_000, -100_000, 100_000),
                fields.yes("whole", false));
        if (dial.least() > dial.most()) {
            fields.wrong("“least” is over “most”.");
        }
        if (way == OwnDial.Way.ADDED == (dial.semitone() == 0)) {
            fields.wrong("“semitone” says what is added for a semitone where “way” is “added”, and only there.");
        }
        if (way != OwnDial.Way.ADDED && dial.normal() <= 0) {
            fields.wrong("“normal” is over nothing where it is multiplied or divided.");
        }
        fields.end();
        return dial;
    }

    private static OwnLimits limits(YamlFields fields) {
        if (fields == null) {
            return OwnLimits.USUAL;
        }
        OwnLimits limits = new OwnLimits(
                fields.whole("characters", OwnLimits.USUAL.characters(), 20, 10_000),
                fields.whole("seconds", OwnLimits.USUAL.seconds(), 1, 600),
                fields.whole("memory-mb", OwnLimits.USUAL.memoryMb(), 16, 64_000),
                fields.whole("sound-mb", OwnLimits.USUAL.soundMb(), 1, 500),
                fields.whole("at-once", OwnLimits.USUAL.atOnce(), 1, 64));
        fields.end();
        return limits;
    }

    private static void check(
            YamlFields fields,
            List<String> command,
            List<String> version,
            boolean textInFile,
            boolean soundInFile,
            OwnDial pace,
            OwnDial pitch) {
        if (command.isEmpty()) {
            fields.wrong("an engine needs “command”: its program and arguments, as in [/usr/bin/program, --quiet].");
            return;
        }
        for (List<String> line : version.isEmpty() ? List.of(command) : List.of(command, version)) {
            Path program = Path.of(line.get(0));
            if (!program.isAbsolute() || !Files.isExecutable(program) || Files.isDirectory(program)) {
                fields.wrong("“%s” is no program that can be run. Give its whole path, as in /usr/bin/program."
                        .formatted(line.get(0)));
            }
        }
        Set<String> used = command.stream()
                .flatMap(word -> PLACE.matcher(word).results().map(found -> found.group()))
                .collect(Collectors.toSet());
        used.stream()
                .filter(place -> !PLACES.contains(place))
                .sorted()
                .forEach(place -> fields.wrong("“command” has no place " + place + ". Places are "
                        + PLACES.stream().sorted().collect(Collectors.joining(", ")) + "."));
        agrees(fields, used.contains("{text}"), textInFile, "{text}", "“text” is “file”");
        agrees(fields, used.contains("{sound}"), soundInFile, "{sound}", "“sound” is “file”");
        agrees(fields, used.contains("{pace}"), pace != null, "{pace}", "“pace” says what it takes");
        agrees(fields, used.contains("{pitch}"), pitch != null, "{pitch}", "“pitch” says what it takes");
    }

    private static void agrees(YamlFields fields, boolean used, boolean wanted, String place, String when) {
        if (used != wanted) {
            fields.wrong("%s stands in “command” when %s, and only then.".formatted(place, when));
        }
    }

    private static Voice voice(
            YamlFields fields,
            String engine,
            boolean byVoice,
            Set<String> ids,
            boolean ownPace,
            boolean ownPitch,
            OwnLimits limits) {
        String id = id(fields, ids);
        String name = fields.text("name");
        String itsOwn = byVoice ? fields.text("voice") : fields.text("voice", id);
        String language = fields.text("language");
        Locale spoken = Locale.forLanguageTag(language);
        if (!language.isEmpty() && !spoken.toLanguageTag().equals(language)) {
            fields.wrong("“%s” is no language. Give a tag, as en or en-GB.".formatted(language));
        }
        Gender gender = fields.one(
                "gender", Stream.of(Gender.values()).collect(Collectors.toMap(Gender::label, one -> one)), null);
        Age age = fields.one("age", Stream.of(Age.values()).collect(Collectors.toMap(Age::id, one -> one)), Age.GROWN);
        Making making = fields.one(
                "made", Stream.of(Making.values()).collect(Collectors.toMap(Making::id, one -> one)), Making.UNTOLD);
        List<String> character = fields.texts("character");
        fields.end();
        Set<Ability> byItself = java.util.EnumSet.noneOf(Ability.class);
        if (ownPace) {
            byItself.add(Ability.PACE);
        }
        if (ownPitch) {
            byItself.add(Ability.PITCH);
        }
        return new Voice(
                        PREFIX + engine + "-" + id,
                        name,
                        language,
                        spoken.getDisplayLanguage(Locale.ENGLISH),
                        spoken.getDisplayCountry(Locale.ENGLISH),
                        gender == null ? Gender.FEMALE : gender,
                        age,
                        character,
                        OwnEngine.family(engine),
                        itsOwn,
                        java.util.EnumSet.of(Ability.PACE, Ability.PITCH, Ability.RANGE, Ability.WORD_TIMES),
                        byItself,
                        List.of(),
                        new Terms(limits.characters(), java.math.BigDecimal.ZERO, ""))
                .made(making);
    }
}
