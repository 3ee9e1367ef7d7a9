package org.logophon.cli.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import org.logophon.cli.input.InputUnusable;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.signal.wav.BroadcastExtension;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.logophon.core.time.coding.LossyFile;
import org.logophon.core.time.coding.SoundFormat;
import org.logophon.core.time.coding.Tags;
import org.logophon.speech.coding.FfmpegCoder;

/**
 * Hours of narration delivered: by a running application as WAV, and coded as MP3 against a process of FFmpeg for each
 * clip.
 */
final class DeliverBench {

    private static final int CUES = 2_000;
    private static final String CUE =
            "The keeper wrote one line for the weather and one for the lamp, and then he climbed"
                    + " down by the iron stair, drew the door shut behind him, and counted the steps to the "
                    + "boat house.\n\n";
    private static final String PARTS = "clips,programme,captions,words,timeline,markers,sheet,mouth,script";
    private static final double REAL_TIMES = 150;
    private static final int CLIPS = 60;
    private static final int CLIP_SECONDS = 7;
    private static final int RATE = 48_000;
    /**
     * A clip is coded, decoded and measured, and once more where its peaks went over: five processes where theirs is
     * one.
     */
    private static final double CODINGS = 0.2;

    List<BenchResult> served(BenchServer server) throws Exception {
        String project = server.project("Hours");
        server.save(project, CUE.repeat(CUES), 0);
        server.send("POST", project + "/render", "step=DELIVER", "application/x-www-form-urlencoded");
        double seconds = ready(server, project);
        StringBuilder form = new StringBuilder("asked=true&pattern={number}&target=-19&format=wav&rate=48000&bits=24")
                .append("&minutes=10&captions=srt&captions=vtt&captions=ttml&captions=words");
        for (String part : PARTS.split(",")) {
            form.append("&parts=").append(part);
        }
        long began = System.nanoTime();
        server.send("POST", project + "/deliveries", form.toString(), "application/x-www-form-urlencoded");
        String page = built(server, project);
        double took = (System.nanoTime() - began) / 1e9;
        String file = page.replaceAll("(?s).*?href=\"([^\"]+/file)\".*", "$1");
        return List.of(
                new BenchResult(
                        "%.1f hours of clips and programme delivered as WAV".formatted(seconds / 3_600),
                        "150 times real time",
                        took,
                        seconds / REAL_TIMES,
                        "s",
                        1),
                new BenchResult("the first byte of that download", "1 s", server.firstByteSeconds(file), 1, "s", 1));
    }

    /** @return seconds that all cues run */
    private static double ready(BenchServer server, String project) throws Exception {
        while (true) {
            double seconds = 0;
            int ready = 0;
            for (var cue : server.json(project + "/programme").get("cues")) {
                ready += "ready".equals(cue.path("state").asString("")) ? 1 : 0;
                seconds += cue.path("seconds").asDouble(0);
            }
            if (ready == CUES) {
                return seconds;
            }
            Thread.sleep(500);
        }
    }

    private static String built(BenchServer server, String project) throws Exception {
        while (true) {
            String page =
                    server.send("GET", project + "/deliveries", null, null).body();
            if (page.contains("state-problem")) {
                throw new InputUnusable("The delivery of the bench failed: " + page.replaceAll("<[^>]*>|\\s+", " "));
            }
            if (!page.contains("<progress")) {
                return page;
            }
            Thread.sleep(100);
        }
    }

    /** The same clips, each measured and brought under the ceiling as it is heard, against each just coded. */
    BenchResult coded(Path folder) throws Exception {
        float[] samples = new float[CLIP_SECONDS * RATE];
        for (int i = 0; i < samples.length; i++) {
            double swell = 0.5 + 0.5 * Math.sin(2 * Math.PI * 3 * i / RATE);
            samples[i] = (float) (0.3 * swell * Math.sin(2 * Math.PI * 180 * i / RATE + 3 * Math.sin(0.013 * i)));
        }
        SoundSource sound = SoundSource.of(new Sound(samples, RATE));
        Path wav = folder.resolve("clip.wav");
        try (var out = Files.newOutputStream(wav)) {
            WavWriter.write(
                    sound,
                    SampleFormat.PCM_24,
                    new BroadcastExtension("", "010", LocalDateTime.of(2026, 1, 1, 0, 0), 0, -19, -2),
                    out);
        }
        SoundFormat format = new SoundFormat(SoundFormat.Kind.MP3, RATE, 24);
        Tags tags = new Tags("010", "Bench", "10", "", "2026-01-01", List.of());
        List<Callable<Void>> ours = new ArrayList<>();
        List<Callable<Void>> theirs = new ArrayList<>();
        for (int i = 0; i < CLIPS; i++) {
            Path file = folder.resolve("ours-" + i + ".mp3");
            ours.add(() -> {
                LossyFile.write(sound, format, tags, new FfmpegCoder(), file);
                return null;
            });
            List<String> command = new ArrayList<>(List.of("ffmpeg", "-nostdin", "-v", "error", "-y", "-i"));
            command.addAll(List.of(wav.toString(), "-c:a", "libmp3lame", "-b:a", "192k"));
            command.add(Tool.path(folder, "theirs-" + i + ".mp3"));
            theirs.add(() -> {
                Tool.run(command);
                return null;
            });
        }
        return new BenchResult(
                CLIPS + " clips coded as MP3, measured and under the ceiling",
                "a process of FFmpeg a clip, as it comes",
                Tool.seconds(ours),
                Tool.seconds(theirs),
                "s",
                CODINGS);
    }
}
