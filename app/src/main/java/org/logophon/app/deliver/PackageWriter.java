package org.logophon.app.deliver;

import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntPredicate;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.logophon.app.project.CueView;
import org.logophon.app.project.ProjectView;
import org.logophon.app.rendering.SpeechRepository;
import org.logophon.app.rendering.StoredSpeech;
import org.logophon.app.rendering.Take;
import org.logophon.app.rendering.TakeRepository;
import org.logophon.app.web.NotFound;
import org.logophon.core.delivery.Caption;
import org.logophon.core.delivery.Captions;
import org.logophon.core.delivery.CueSheet;
import org.logophon.core.finish.Clip;
import org.logophon.core.finish.ClipFinisher;
import org.logophon.core.finish.FinishSettings;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.wav.BroadcastExtension;
import org.logophon.core.wav.SampleFormat;
import org.logophon.core.wav.WavWriter;
import org.springframework.stereotype.Component;

/**
 * Writes a project's kept takes as a ZIP of clips, {@code cue-sheet.csv} and {@code captions.srt}, one clip at a time.
 */
@Component
class PackageWriter {

    private final TakeRepository takes;
    private final SpeechRepository speeches;
    private final ClipFinisher finishing;
    private final VoiceCatalogue voices;

    PackageWriter(TakeRepository takes, SpeechRepository speeches, ClipFinisher finishing, VoiceCatalogue voices) {
        this.takes = takes;
        this.speeches = speeches;
        this.finishing = finishing;
        this.voices = voices;
    }

    /** A clip's place in the programme, kept while its samples are let go. */
    private record Placed(
            CueView cue, String file, String text, String voice, Clip measured, long startSample, int samples) {}

    /**
     * @param goOn told the number of clips written; false stops
     * @return false when it was stopped
     */
    boolean write(ProjectView view, Delivery delivery, OutputStream to, IntPredicate goOn) throws IOException {
        FinishSettings settings = FinishSettings.to(delivery.targetLufs());
        List<Placed> programme = new ArrayList<>();
        ZipOutputStream zip = new ZipOutputStream(to, StandardCharsets.UTF_8);
        zip.setLevel(Deflater.BEST_SPEED);
        long at = 0;
        for (Map.Entry<CueView, String> named :
                ClipNames.names(view, delivery.namePattern()).entrySet()) {
            CueView cue = named.getKey();
            Take take = takes.find(cue.cue().keptTake())
                    .orElseThrow(() -> new NotFound("The kept take of cue " + cue.number() + " is gone."));
            StoredSpeech speech = speeches.find(take.recipe())
                    .orElseThrow(() -> new NotFound("The sound of cue " + cue.number() + " is gone. Render it again."));
            Clip clip =
                    finishing.finish(speech.speech(), settings, cue.direction().loudnessDb());
            int samples = clip.sound().samples().length;
            zip.putNextEntry(new ZipEntry(named.getValue()));
            WavWriter.write(
                    clip.sound(),
                    SampleFormat.PCM_24,
                    new BroadcastExtension(
                            take.text(),
                            cue.number(),
                            LocalDateTime.ofInstant(delivery.createdAt(), ZoneOffset.UTC),
                            at,
                            clip.loudness().lufs(),
                            clip.truePeakDbtp()),
                    zip);
            zip.closeEntry();
            String voice = voices.find(take.voiceId()).map(Voice::name).orElse(take.voiceId());
            programme.add(new Placed(
                    cue,
                    named.getValue(),
                    take.text(),
                    voice,
                    new Clip(null, clip.words(), clip.loudness(), clip.truePeakDbtp()),
                    at,
                    samples));
            at += samples + (long) cue.direction().pauseMillis() * settings.rate() / 1000;
            if (!goOn.test(programme.size())) {
                return false;
            }
        }
        sheet(programme, settings.rate(), zip);
        captions(programme, settings.rate(), zip);
        zip.finish();
        return true;
    }

    private static void sheet(List<Placed> programme, int rate, ZipOutputStream zip) throws IOException {
        zip.putNextEntry(new ZipEntry("cue-sheet.csv"));
        List<CueSheet.Row> rows = programme.stream()
                .map(p -> new CueSheet.Row(
                        p.cue().number(),
                        p.file(),
                        p.cue().cue().scene(),
                        p.cue().cue().role(),
                        p.voice(),
                        p.text(),
                        p.startSample() / (double) rate,
                        p.samples() / (double) rate,
                        p.measured().loudness().lufs(),
                        p.measured().truePeakDbtp()))
                .toList();
        Writer out = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
        CueSheet.write(rows, out);
        out.flush();
        zip.closeEntry();
    }

    private static void captions(List<Placed> programme, int rate, ZipOutputStream zip) throws IOException {
        List<Caption> captions = new ArrayList<>();
        for (int i = 0; i < programme.size(); i++) {
            Placed placed = programme.get(i);
            double until =
                    i + 1 < programme.size() ? programme.get(i + 1).startSample() / (double) rate : Double.MAX_VALUE;
            captions.addAll(
                    Captions.of(placed.text(), placed.measured().words(), placed.startSample() / (double) rate, until));
        }
        zip.putNextEntry(new ZipEntry("captions.srt"));
        zip.write(Captions.srt(captions).getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }
}
