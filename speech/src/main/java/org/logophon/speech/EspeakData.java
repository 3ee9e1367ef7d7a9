package org.logophon.speech;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * The engine's data folder as workers see it: the installed one, linked, with steadied copies of the voice variants in
 * use. espeak-ng carries the phase of its pitch wobble (flutter) and of its roughness from one utterance to the next,
 * so
 * that the same words never sound quite the same twice; with both at zero the same request gives the same samples.
 */
final class EspeakData {

    private static final List<String> VARIANTS =
            List.of("f1", "f2", "f3", "f4", "f5", "m2", "m3", "m5", "m7", "m8", "whisper", "whisperf");
    private static final List<String> CARRIED = List.of("flutter", "roughness");

    private EspeakData() {}

    /**
     * Makes the folder.
     *
     * @return what to give the engine as its path, or empty when no data is installed
     */
    static String prepare() {
        try {
            Path installed = installed();
            if (installed == null) {
                return "";
            }
            Path home = Files.createTempDirectory("logophon-voices");
            Path data = Files.createDirectories(home.resolve("espeak-ng-data"));
            for (Path entry : entries(installed)) {
                if (!entry.getFileName().toString().equals("voices")) {
                    Files.createSymbolicLink(data.resolve(entry.getFileName()), entry);
                }
            }
            Path variants = Files.createDirectories(data.resolve("voices/!v"));
            for (String variant : VARIANTS) {
                Files.write(
                        variants.resolve(variant),
                        steadied(installed.resolve("voices/!v").resolve(variant)));
            }
            return home.toString();
        } catch (IOException e) {
            throw new UncheckedIOException(
                    "The temporary folder can't be written; speech needs a little room there.", e);
        }
    }

    static void remove(String home) {
        if (home.isEmpty()) {
            return;
        }
        try (Stream<Path> all = Files.walk(Path.of(home))) {
            for (Path path : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(path);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<String> steadied(Path variant) throws IOException {
        List<String> lines = new ArrayList<>();
        for (String line : Files.readAllLines(variant)) {
            if (CARRIED.stream().noneMatch(line::startsWith)) {
                lines.add(line);
            }
        }
        CARRIED.forEach(setting -> lines.add(setting + " 0"));
        return lines;
    }

    private static Path installed() throws IOException {
        List<Path> places =
                new ArrayList<>(List.of(Path.of("/usr/share/espeak-ng-data"), Path.of("/usr/lib/espeak-ng-data")));
        for (Path architecture : entries(Path.of("/usr/lib"))) {
            places.add(architecture.resolve("espeak-ng-data"));
        }
        return places.stream()
                .filter(p -> Files.isDirectory(p.resolve("voices/!v")))
                .findFirst()
                .orElse(null);
    }

    private static List<Path> entries(Path folder) throws IOException {
        try (Stream<Path> entries = Files.list(folder)) {
            return entries.toList();
        }
    }
}
