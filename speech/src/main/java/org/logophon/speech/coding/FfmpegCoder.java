package org.logophon.speech.coding;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.time.coding.Coder;
import org.logophon.core.time.coding.CodingFailed;
import org.logophon.core.time.coding.SoundFormat;
import org.logophon.core.time.coding.Tags;

/**
 * FFmpeg (Debian's), which is given samples and gives files, and the other way round. It sees no file but those that
 * are named to it; a process ends with the thread that waits for it.
 */
public final class FfmpegCoder implements Coder {

    /** In formats that take tags of any name. */
    private static final String NOTE = "logophon";
    /** MPEG-4's long description: other tags than the known ones it would hide the title for. */
    private static final String NOTE_OF_M4A = "synopsis";

    /** What is read of strangers, by FFmpeg's names: what people record in, and what their videos come in. */
    private static final String FORMATS = "wav,w64,flac,mp3,aac,ogg,mov,mp4,m4a,3gp,3g2,mj2,matroska,webm,aiff,caf";

    private static final String UNREADABLE =
            "it isn't sound that is read here. Use WAV, FLAC, MP3, M4A, Opus or OGG, or a video with sound.";
    private static final String STOPPED = "FFmpeg was stopped from outside, as a full memory does it. Try again.";
    private static final String STOPPED_READING =
            "its reading was stopped from outside, as a full memory does it. Send it again.";

    /** SIGKILL, as a status tells it: what FFmpeg was asked for isn't the reason. */
    private static final int KILLED = 128 + 9;

    private static final int DECODING_MINUTES = 10;
    /** Samples a second: of telephones, and of the finest recorders. */
    private static final int LEAST_RATE = 8_000;

    private static final int MOST_RATE = 192_000;

    private static final int NOTE_SECONDS = 20;
    private static final int NOTE_BYTES = 4 << 20;

    private static final String MISSING =
            "FFmpeg isn't installed, which compressed formats need. Install Debian's package ffmpeg, or use WAV.";

    private static final ScheduledExecutorService LATE = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "late ffprobe");
        thread.setDaemon(true);
        return thread;
    });

    @Override
    public void code(SoundSource sound, SoundFormat format, Tags tags, Path file) throws IOException {
        if (!coded(sound, format, tags, file) && !coded(sound, format, tags, file)) {
            throw new CodingFailed(STOPPED);
        }
    }

    /** @return false when FFmpeg was killed half-way: the same may well work again */
    private static boolean coded(SoundSource sound, SoundFormat format, Tags tags, Path file) throws IOException {
        Path metadata = Files.createTempFile("logophon-tags", ".txt");
        try {
            Files.writeString(
                    metadata, FfMetadata.of(tags, format.kind() == SoundFormat.Kind.M4A ? NOTE_OF_M4A : NOTE));
            List<String> command = new ArrayList<>(List.of("ffmpeg", "-nostdin", "-hide_banner", "-v", "error", "-y"));
            command.addAll(List.of("-f", "f32le", "-ar", Integer.toString(sound.rate()), "-ac", "1", "-i", "pipe:0"));
            command.addAll(List.of("-f", "ffmetadata", "-i", metadata.toString(), "-map", "0:a"));
            command.addAll(List.of("-map_metadata", "1", "-map_chapters", "1", "-fflags", "+bitexact"));
            command.addAll(List.of("-flags:a", "+bitexact", "-ar", Integer.toString(format.rate())));
            command.addAll(codec(format));
            command.add(file.toString());
            Process process = start(command);
            Thread errors = Errors.of(process);
            try (OutputStream in = new BufferedOutputStream(process.getOutputStream(), 1 << 16)) {
                send(sound, in);
            } catch (IOException closed) {
                // it says itself why it reads no further
                if (!end(process, errors)) {
                    return false;
                }
                throw closed;
            }
            return end(process, errors);
        } finally {
            Files.deleteIfExists(metadata);
        }
    }

    private static void send(SoundSource sound, OutputStream in) throws IOException {
        try {
            sound.readAll((samples, count) -> {
                try {
                    if (Thread.currentThread().isInterrupted()) {
                        throw new CodingFailed("The coding was stopped.");
                    }
                    in.write(SampleFormat.FLOAT_32.encode(samples, count, 0));
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
    }

    /** Speech, in one channel: rates at which nobody has told it from the original. Common practice, no source. */
    private static List<String> codec(SoundFormat format) {
        return switch (format.kind()) {
            case WAV -> List.of("-c:a", format.bits() == 16 ? "pcm_s16le" : "pcm_s24le", "-f", "wav");
            case FLAC ->
                format.bits() == 16
                        ? List.of("-c:a", "flac", "-sample_fmt", "s16", "-f", "flac")
                        : List.of("-c:a", "flac", "-sample_fmt", "s32", "-bits_per_raw_sample", "24", "-f", "flac");
            case MP3 -> List.of("-c:a", "libmp3lame", "-b:a", "192k", "-id3v2_version", "3", "-f", "mp3");
            case OPUS -> List.of("-c:a", "libopus", "-b:a", "96k", "-f", "ogg");
            case M4A -> List.of("-c:a", "aac", "-b:a", "160k", "-movflags", "+faststart", "-f", "ipod");
        };
    }

    @Override
    public String note(Path file) throws IOException {
        String tags = "tags=" + NOTE + "," + NOTE_OF_M4A;
        return probed(file, "-show_entries", "format_" + tags + ":stream_" + tags);
    }

    /** Of the sound in a file; 0 where nothing says it. */
    private static int rate(Path file) throws IOException {
        String told = probed(
                file, "-format_whitelist", FORMATS, "-select_streams", "a:0", "-show_entries", "stream=sample_rate");
        return told.matches("\\d{1,9}") ? Integer.parseInt(told) : 0;
    }

    private static String probed(Path file, String... asked) throws IOException {
        List<String> command = new ArrayList<>(List.of("ffprobe", "-hide_banner", "-v", "quiet"));
        command.addAll(List.of("-protocol_whitelist", "file,pipe", "-of", "default=noprint_wrappers=1:nokey=1"));
        command.addAll(List.of(asked));
        command.add("file:" + file.toAbsolutePath());
        Process process = start(command);
        process.getOutputStream().close();
        // a file that is made to be slow doesn't keep anybody waiting
        ScheduledFuture<?> late = LATE.schedule(process::destroyForcibly, NOTE_SECONDS, TimeUnit.SECONDS);
        try (InputStream out = process.getInputStream()) {
            return new String(out.readNBytes(NOTE_BYTES), StandardCharsets.UTF_8).strip();
        } finally {
            late.cancel(false);
            process.destroyForcibly();
        }
    }

    @Override
    public void decode(Path file, int rate, SoundSource.BlockReader reader) throws IOException {
        int own = rate(file);
        if (own != 0 && (own < LEAST_RATE || own > MOST_RATE)) {
            throw new CodingFailed("it has %,d samples a second, and %,d to %,d are read. Save it with 48,000."
                    .formatted(own, LEAST_RATE, MOST_RATE));
        }
        List<String> command = new ArrayList<>(List.of("ffmpeg", "-nostdin", "-hide_banner", "-v", "error"));
        command.addAll(List.of("-protocol_whitelist", "file,pipe", "-format_whitelist", FORMATS));
        command.addAll(List.of("-i", "file:" + file.toAbsolutePath(), "-vn", "-sn", "-dn"));
        command.addAll(List.of("-map", "0:a:0", "-f", "f32le", "-ac", "1", "-ar", Integer.toString(rate), "pipe:1"));
        Process process = start(command);
        Thread errors = Errors.of(process);
        process.getOutputStream().close();
        ScheduledFuture<?> late = LATE.schedule(process::destroyForcibly, DECODING_MINUTES, TimeUnit.MINUTES);
        byte[] bytes = new byte[4 * SoundSource.BLOCK];
        float[] samples = new float[SoundSource.BLOCK];
        try (InputStream out = process.getInputStream()) {
            for (int got = out.readNBytes(bytes, 0, bytes.length);
                    got > 0;
                    got = out.readNBytes(bytes, 0, bytes.length)) {
                if (Thread.currentThread().isInterrupted()) {
                    process.destroyForcibly();
                    throw new CodingFailed("The decoding was stopped.");
                }
                ByteBuffer.wrap(bytes, 0, got)
                        .order(ByteOrder.LITTLE_ENDIAN)
                        .asFloatBuffer()
                        .get(samples, 0, got / 4);
                reader.block(samples, got / 4);
            }
            process.waitFor();
            errors.join();
            if (process.exitValue() != 0) {
                throw new CodingFailed(process.exitValue() == KILLED && !late.isDone() ? STOPPED_READING : UNREADABLE);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new CodingFailed("The decoding was stopped.", stopped);
        } finally {
            late.cancel(false);
            process.destroyForcibly();
        }
    }

    private static Process start(List<String> command) throws IOException {
        try {
            return new ProcessBuilder(command).start();
        } catch (IOException missing) {
            throw new CodingFailed(MISSING, missing);
        }
    }

    /** @return false when it was killed */
    private static boolean end(Process process, Thread errors) throws IOException {
        try {
            int code = process.waitFor();
            errors.join();
            if (code != 0 && code != KILLED) {
                throw new CodingFailed("FFmpeg couldn't do it: " + Errors.said(errors));
            }
            return code == 0;
        } catch (InterruptedException stopped) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
            throw new CodingFailed("The coding was stopped.", stopped);
        }
    }

    /** What a process complains of, read beside its work. */
    private static final class Errors extends Thread {

        private final Process process;
        private String said = "";

        private Errors(Process process) {
            this.process = process;
            setDaemon(true);
        }

        static Thread of(Process process) {
            Errors errors = new Errors(process);
            errors.start();
            return errors;
        }

        static String said(Thread errors) {
            String[] lines = ((Errors) errors).said.strip().split("\n");
            return lines[lines.length - 1];
        }

        @Override
        public void run() {
            try (InputStream in = process.getErrorStream()) {
                said = new String(in.readNBytes(8_192), StandardCharsets.UTF_8);
                in.transferTo(OutputStream.nullOutputStream());
            } catch (IOException gone) {
                said = "it is gone";
            }
        }
    }
}
