package org.logophon.cli.recording;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.logophon.cli.input.InputUnusable;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.voice.recording.Activity;
import org.logophon.core.voice.recording.HeldRecording;
import org.logophon.core.voice.recording.RecordingAligner;
import org.logophon.core.voice.render.Measurement;
import org.logophon.core.voice.render.Speech;
import org.logophon.core.voice.render.SpokenText;
import org.logophon.speech.Engines;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.WorkerPool;

/** A folder of recordings, a file a cue with its number in the name. */
public final class RecordedCues {

    private static final double AROUND_SECONDS = 0.15;

    private final List<Path> files;
    private final RecordingAligner holder;
    private final PrintWriter told;

    /**
     * @param told gets what was done to recordings while they were read
     * @throws InputUnusable with a sentence when there is no such folder
     */
    public RecordedCues(Path folder, WorkerPool pool, PrintWriter told) throws IOException {
        this.told = told;
        this.holder = new RecordingAligner(new Engines(pool), NativeVoices::saying);
        if (!Files.isDirectory(folder)) {
            throw new InputUnusable(folder + " is no folder. Name one with a recording a cue, as 030.wav.");
        }
        try (Stream<Path> found = Files.list(folder)) {
            files = found.filter(Files::isRegularFile).sorted().toList();
        }
    }

    private Optional<Path> file(String number) {
        return files.stream()
                .filter(file -> Stream.of(file.getFileName()
                                .toString()
                                .replaceAll("\\.[^.]*$", "")
                                .split("[^0-9A-Za-z]+"))
                        .anyMatch(part -> plain(part).equalsIgnoreCase(plain(number))))
                .findFirst();
    }

    private static String plain(String number) {
        return number.replaceAll("^0+(?=\\d)", "");
    }

    /** The recording of a cue; empty where there is none. @throws UncheckedIOException when it can't be read */
    public Optional<Speech> of(String number, String text, SpokenText spoken, String language) {
        Optional<Path> file = file(number);
        if (file.isEmpty()) {
            return Optional.empty();
        }
        try (RecordingFile recording = RecordingFile.open(file.get(), told)) {
            Sound whole = recording.whole();
            Activity.Span span = Activity.of(whole).speech(AROUND_SECONDS, whole.samples().length);
            Sound sound = whole.cut(span.from(), span.to());
            HeldRecording held = holder.hold(sound, text, spoken, language);
            return Optional.of(new Speech(sound, held.words(), Measurement.NEUTRAL, held.phones()));
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }
}
