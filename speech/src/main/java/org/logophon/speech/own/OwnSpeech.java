package org.logophon.speech.own;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Semaphore;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.WavReader;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.core.voice.render.SpeechRequest;
import org.logophon.core.voice.render.Utterance;

/** A program of the user's own as an engine. It tells no word times. */
final class OwnSpeech implements SpeechEngine {

    private static final OwnLimits FOR_ITS_VERSION = new OwnLimits(0, 10, 1_500, 1, 1);
    private static final int MOST_VERSION = 80;

    private final OwnEngine engine;
    private final Semaphore free;
    private volatile String version;

    OwnSpeech(OwnEngine engine) {
        this.engine = engine;
        this.free = new Semaphore(engine.limits().atOnce(), true);
    }

    /** With what the file says of it: other arguments may sound different too. */
    @Override
    public String version(Voice voice) {
        if (version == null) {
            String told = engine.version().isEmpty() ? "" : " " + told();
            String file = Sha256.hex(
                    engine.command() + " " + engine.environment() + " " + engine.pace() + " " + engine.pitch());
            version = engine.family() + told + " " + file.substring(0, 8);
        }
        return version;
    }

    private String told() {
        try (OwnProgram program = new OwnProgram(engine.name())) {
            Path output = program.run(engine.version(), null, engine.environment(), FOR_ITS_VERSION);
            String all = Files.readString(output, StandardCharsets.ISO_8859_1)
                    + Files.readString(program.file("errors"), StandardCharsets.ISO_8859_1);
            String first = all.lines()
                    .map(String::strip)
                    .filter(line -> !line.isEmpty())
                    .findFirst()
                    .orElse("");
            return first.substring(0, Math.min(MOST_VERSION, first.length()));
        } catch (IOException unread) {
            throw new SpeechFailed(engine.name() + " can't be asked for its version.", unread);
        }
    }

    @Override
    public Utterance speak(SpeechRequest request) {
        try {
            free.acquire();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new SpeechFailed("The render was interrupted.", stopped);
        }
        try (OwnProgram program = new OwnProgram(engine.name())) {
            Path text =
                    Files.writeString(program.file("text.txt"), request.text().text() + "\n");
            Path sound = program.file("sound.wav");
            Map<String, String> places = Map.of(
                    "{text}", text.toString(),
                    "{sound}", sound.toString(),
                    "{voice}", request.voice().engineVoice(),
                    "{pace}", engine.pace() == null ? "" : engine.pace().value(request.paceFactor()),
                    "{pitch}",
                            engine.pitch() == null ? "" : engine.pitch().value(Math.pow(2, request.semitones() / 12)));
            List<String> line =
                    engine.command().stream().map(word -> filled(word, places)).toList();
            Path output = program.run(line, engine.textInFile() ? null : text, engine.environment(), engine.limits());
            return new Utterance(sound(engine.soundInFile() ? sound : output), List.of(), List.of());
        } catch (IOException disk) {
            throw new SpeechFailed(engine.name() + " can't be given the text: see whether the disk is full.", disk);
        } finally {
            free.release();
        }
    }

    private static String filled(String word, Map<String, String> places) {
        String filled = word;
        for (Map.Entry<String, String> place : places.entrySet()) {
            filled = filled.replace(place.getKey(), place.getValue());
        }
        return filled;
    }

    private Sound sound(Path file) throws IOException {
        if (!Files.exists(file)) {
            throw new SpeechFailed(engine.name() + " ended well and left no sound.");
        }
        try {
            return WavReader.read(Files.readAllBytes(file));
        } catch (InvalidInput none) {
            throw new SpeechFailed(engine.name() + " gave no sound that can be read. " + none.getMessage());
        }
    }
}
