package org.logophon.cli.narrate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.logophon.core.coding.Coder;
import org.logophon.core.coding.FloatFile;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.sound.Resampler;
import org.logophon.core.sound.SoundSource;
import org.logophon.speech.coding.FfmpegCoder;

/** Finished clips in a folder of their own, until what is delivered is made of them. */
final class WorkSounds implements Sounds, AutoCloseable {

    private final Path folder;
    private final Resampler resampler;
    private final Map<String, SoundSource> clips = new ConcurrentHashMap<>();
    private SoundSource before;
    private final SoundSource layer = null;

    WorkSounds(Resampler resampler) throws IOException {
        this.folder = Files.createTempDirectory("logophon-clips");
        this.resampler = resampler;
    }

    void keep(String number, SoundSource finished) throws IOException {
        clips.put(number, FloatFile.of(finished, folder.resolve(clips.size() + "-" + number.hashCode() + ".f32")));
    }

    void title(SoundSource spoken) throws IOException {
        before = FloatFile.of(spoken, folder.resolve("title.f32"));
    }

    @Override
    public SoundSource clip(DeliveredClip clip) {
        return clips.get(clip.number());
    }

    /** Of the day: the same script gives the same files on one day. */
    @Override
    public LocalDateTime made(DeliveredClip clip) {
        return LocalDate.now().atStartOfDay();
    }

    @Override
    public SoundSource before() {
        return before;
    }

    @Override
    public SoundSource layer() {
        return layer;
    }

    @Override
    public Coder coder() {
        return new FfmpegCoder();
    }

    @Override
    public Resampler resampler() {
        return resampler;
    }

    @Override
    public void close() throws IOException {
        try (Stream<Path> all = Files.walk(folder)) {
            List<Path> paths = all.sorted(Comparator.reverseOrder()).toList();
            for (Path path : paths) {
                Files.delete(path);
            }
        }
    }
}
