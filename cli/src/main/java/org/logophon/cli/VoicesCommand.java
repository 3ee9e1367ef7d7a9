package org.logophon.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.logophon.cli.input.ExitStatus;
import org.logophon.cli.input.HiredVoices;
import org.logophon.cli.input.InputUnusable;
import org.logophon.cli.input.OwnEngines;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;
import org.logophon.core.voice.figures.ClearnessTable;
import org.logophon.core.voice.figures.VoiceFigures;
import org.logophon.core.voice.figures.VoiceMeter;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;
import org.logophon.speech.WorkerResampler;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;
import tools.jackson.databind.json.JsonMapper;

/** Lists the voices. */
@Command(name = "voices", description = "Lists the voices.", mixinStandardHelpOptions = true)
final class VoicesCommand implements Callable<Integer> {

    @Spec
    private CommandSpec spec;

    @Option(
            names = "--json",
            description = "Print a JSON array, with what each voice measures; all voices take a minute or two.")
    private boolean json;

    @Option(
            names = "--language",
            paramLabel = "TAG",
            defaultValue = "",
            description = "Only voices of this language, as in en or en-GB.")
    private String language;

    @Option(
            names = "--try",
            paramLabel = "FILE",
            description = "Say what is wrong with a file of engines of your own, and let each of its voices speak.")
    private Path tried;

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        if (tried != null) {
            return new EnginesTrial(out).of(tried);
        }
        OwnEngines own = OwnEngines.of(System.getenv());
        own.warnings().forEach(spec.commandLine().getErr()::println);
        List<Voice> voices = Stream.of(
                        NativeVoices.catalogue().all(),
                        own.voices(),
                        HiredVoices.of(System.getenv()).all())
                .flatMap(List::stream)
                .filter(voice -> language.isEmpty() || (voice.language() + "-").startsWith(language + "-"))
                .toList();
        if (voices.isEmpty()) {
            throw new InputUnusable("No voice speaks " + language + ". ./logophon voices lists the languages.");
        }
        if (json) {
            try (WorkerPool pool = new WorkerPool(Runtime.getRuntime().availableProcessors())) {
                Narrator narrator = new Narrator(new Engines(pool, null, own.engines()), new WorkerResampler(pool));
                out.println(JsonMapper.builder()
                        .build()
                        .writerWithDefaultPrettyPrinter()
                        .writeValueAsString(voices.parallelStream()
                                .map(voice -> fields(voice, voice.terms().free() ? measured(narrator, voice) : null))
                                .toList()));
            }
        } else {
            voices.forEach(v -> out.printf(
                    "%-12s %-18s %-6s %s%n",
                    v.id(), v.language(), v.gender().label(), v.speaks() + (v.whispers() ? ", whispering" : "")));
        }
        out.flush();
        return ExitStatus.DONE;
    }

    /** Null when a voice can't read its passage; a hired voice isn't measured, that would cost. */
    private static VoiceFigures measured(Narrator narrator, Voice voice) {
        try {
            return VoiceMeter.measure(narrator, voice);
        } catch (SpeechFailed mute) {
            return null;
        }
    }

    private static Double rounded(Double value) {
        return value == null ? null : Math.round(value * 10) / 10.0;
    }

    private static Map<String, Object> fields(Voice voice, VoiceFigures figures) {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("id", voice.id());
        fields.put("name", voice.name());
        fields.put("language", voice.language());
        fields.put("accent", voice.accent());
        fields.put("gender", voice.gender().name().toLowerCase(java.util.Locale.ROOT));
        fields.put("engine", voice.engine());
        fields.put("canDo", voice.canDo().stream().sorted().map(Ability::id).toList());
        fields.put("pricePerCharacter", voice.terms().pricePerCharacter());
        fields.put("currency", voice.terms().currency());
        fields.put("mostCharacters", voice.terms().mostCharacters());
        fields.put("age", voice.age().id());
        fields.put("medianPitchHz", figures == null ? null : rounded(figures.medianPitchHz()));
        fields.put("pitchRangeSemitones", figures == null ? null : rounded(figures.pitchRangeSemitones()));
        fields.put("wordsPerMinute", figures == null ? null : rounded(figures.wordsPerMinute()));
        fields.put("syllablesPerMinute", figures == null ? null : rounded(figures.syllablesPerMinute()));
        fields.put("brightnessHz", figures == null ? null : rounded(figures.brightnessHz()));
        fields.put("madeHow", voice.making().id());
        fields.put(
                "clearPercent",
                ClearnessTable.shipped().of(voice.id()).map(Clearness::percent).orElse(null));
        return fields;
    }
}
