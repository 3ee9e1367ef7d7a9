package org.logophon.cli;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.logophon.documents.Documents;
import org.logophon.documents.worker.OpenedJson;

/**
 * Does once what the commands do, so that the Java machine can write down, at its end, which classes they need: with
 * that archive (JEP 350) they start in a fraction of the time. Run by the build.
 */
final class Training {

    private static final String SCRIPT = """
            # The headland

            The lens weighs 2.3 t, and it was lit at 4:52 by No. 4 of the crew. Skerrow read the log of 1911.

            KEEPER: Wind north-west; the lamp (12 W) cost £38,500 and a UV lead.
            """;

    private Training() {}

    public static void main(String[] args) throws IOException {
        Path folder = Files.createTempDirectory("logophon-training");
        PrintStream out = System.out;
        // what the commands say is no word of the build's
        System.setOut(new PrintStream(OutputStream.nullOutputStream(), false, StandardCharsets.UTF_8));
        try {
            Path script = Files.writeString(folder.resolve("script.md"), SCRIPT);
            for (List<String> command : List.of(
                    List.of(
                            "narrate",
                            script.toString(),
                            "--out",
                            folder + "/clips",
                            "--cast",
                            "KEEPER=marnie",
                            "--pace",
                            "95",
                            "--json"),
                    List.of("check", script.toString()),
                    List.of("check", script.toString(), "--json"),
                    List.of("voices", "--language", "en"))) {
                Main.run(command.toArray(String[]::new));
            }
            // documents are opened by a process of their own, which has the same archive
            OpenedJson.read(
                    OpenedJson.write(Documents.open("script.md", SCRIPT.getBytes(StandardCharsets.UTF_8), Map.of())));
        } finally {
            System.setOut(out);
            remove(folder);
        }
    }

    private static void remove(Path folder) throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(path);
            }
        }
    }
}
