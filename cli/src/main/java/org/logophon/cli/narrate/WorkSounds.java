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
import org.logophon.cli.input.InputUnusable;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.signal.loudness.EnergyProfile;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.bed.Bed;
import org.logophon.core.time.bed.HeardSound;
import org.logophon.core.time.bed.Layer;
import org.logophon.core.time.bed.VoiceSpans;
import org.logophon.core.time.coding.Coder;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.time.coding.FloatFile;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.finish.FinishSettings;
import org.logophon.speech.coding.FfmpegCoder;

/** Finished clips in a folder of their own, until what is delivered is made of them. */
final class WorkSounds implements Sounds, AutoCloseable {

    private static final int LONGEST_BED_SECONDS = 7_200;

    private final Path folder;
    private final Resampler resampler;
    private final Map<String, SoundSource> clips = new ConcurrentHashMap<>();
    private SoundSource before;
    private SoundSource layer;

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

    /**
     * Lays a sound file under the programme.
     *
     * @param lufs of its clips; null for as they were made
     * @throws InputUnusable with a sentence when it can't be read
     */
    void bed(DeliverOptions.BedFile bed, Delivered delivered, Double lufs) throws IOException {
        SoundSource sound;
        try {
            sound = FloatFile.decoded(
                    coder(), bed.file(), folder.resolve("bed.f32"), SampleCount.RATE, LONGEST_BED_SECONDS);
        } catch (CodingFailed unreadable) {
            throw new InputUnusable(bed.file() + " " + unreadable.getMessage());
        }
        HeardSound heard = new HeardSound(sound, EnergyProfile.of(sound), 0);
        SampleCount length = delivered.programme().length();
        layer = Layer.of(
                length,
                VoiceSpans.of(delivered.programme(), DeliveredClip::words),
                lufs == null ? FinishSettings.DEFAULT_TARGET_LUFS : lufs,
                List.of(new Bed(heard, SampleCount.ZERO, length, bed.settings())),
                List.of());
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
