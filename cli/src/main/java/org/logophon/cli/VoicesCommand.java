package org.logophon.cli;

import java.io.PrintWriter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import org.logophon.speech.EspeakVoices;
import org.logophon.voice.Ability;
import org.logophon.voice.Voice;
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
    @Option(names = "--json", description = "Print a JSON array.")
    private boolean json;

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        List<Voice> voices = EspeakVoices.catalogue().all();
        if (json) {
            out.println(JsonMapper.builder().build().writerWithDefaultPrettyPrinter()
                    .writeValueAsString(voices.stream().map(VoicesCommand::fields).toList()));
        } else {
            voices.forEach(v -> out.printf("%-12s %-18s %-6s %s%n", v.id(), v.language(), v.gender().word(),
                    v.speaks() + (v.whispers() ? ", whispering" : "")));
        }
        out.flush();
        return ExitStatus.DONE;
    }

    private static Map<String, Object> fields(Voice voice) {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("id", voice.id());
        fields.put("name", voice.name());
        fields.put("language", voice.language());
        fields.put("accent", voice.accent());
        fields.put("gender", voice.gender().name().toLowerCase(java.util.Locale.ROOT));
        fields.put("engine", voice.engine());
        fields.put("canDo", voice.canDo().stream().map(Ability::word).toList());
        return fields;
    }
}
