package org.logophon.app.steps.record;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.platform.audio.SoundFiles;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.web.Costly;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.steps.record.UploadRepository.Piece;
import org.logophon.app.steps.record.UploadRepository.Upload;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.wav.SampleFormat;
import org.logophon.core.signal.wav.WavWriter;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Files with many cues in them. */
@RestController
@RequestMapping("/projects/{id}/record/files")
class UploadController {

    private final Projects projects;
    private final Uploads uploads;
    private final SoundFiles files;

    UploadController(Projects projects, Uploads uploads, SoundFiles files) {
        this.projects = projects;
        this.uploads = uploads;
        this.files = files;
    }

    /** @param left cues that weren't found in it */
    record Shown(
            UUID id,
            String name,
            String state,
            String problem,
            double seconds,
            String role,
            List<UploadedCue> lines,
            List<Left> left) {}

    record Left(UUID cue, String number, String text) {}

    record UploadedCue(UUID cue, String number, String text, double from, double to, boolean wanted, boolean taken) {}

    @GetMapping
    List<Shown> open(@PathVariable UUID id) {
        projects.require(id);
        return uploads.open(id).stream().map(upload -> shown(id, upload)).toList();
    }

    /** The file itself, as it comes. */
    @Costly
    @PostMapping
    Shown add(
            @PathVariable UUID id,
            @RequestParam String name,
            @RequestParam(defaultValue = "") String role,
            InputStream sent)
            throws IOException {
        projects.require(id);
        return files.read(sent, name, sound -> {
            Upload made = uploads.require(id, uploads.add(id, name, role, sound));
            return shown(id, made, sound.remark().isEmpty() ? made.problem() : sound.remark());
        });
    }

    @GetMapping("/{upload}")
    Shown one(@PathVariable UUID id, @PathVariable UUID upload) {
        return shown(id, uploads.require(id, upload));
    }

    /** A stretch of the file, for hearing where a cue begins and ends. */
    @GetMapping("/{upload}/sound.wav")
    void heard(
            @PathVariable UUID id,
            @PathVariable UUID upload,
            @RequestParam double from,
            @RequestParam double to,
            HttpServletResponse response)
            throws IOException {
        Sound stretch = uploads.stretch(id, upload, from, to);
        response.setContentType("audio/wav");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "private, max-age=600");
        WavWriter.write(stretch, SampleFormat.PCM_16, null, response.getOutputStream());
    }

    /** What somebody has looked over. */
    record Wanted(UUID cue, double from, double to) {}

    @PostMapping("/{upload}/take")
    SentenceAnswer take(@PathVariable UUID id, @PathVariable UUID upload, @RequestBody List<Wanted> wanted) {
        uploads.take(
                id,
                upload,
                wanted.stream()
                        .map(one -> new Piece(one.cue(), one.from(), one.to(), true, null, null))
                        .toList());
        return new SentenceAnswer(
                wanted.size() == 1 ? "It is being imported." : wanted.size() + " recordings are being imported.");
    }

    @NeedsNoRoom
    @PostMapping("/{upload}/remove")
    SentenceAnswer remove(@PathVariable UUID id, @PathVariable UUID upload) {
        uploads.remove(id, upload);
        return new SentenceAnswer("Deleted.");
    }

    private Shown shown(UUID project, Upload upload) {
        return shown(project, upload, upload.problem());
    }

    private Shown shown(UUID project, Upload upload, String problem) {
        List<CueView> all = projects.view(project).cues();
        Map<UUID, CueView> cues = all.stream().collect(Collectors.toMap(CueView::id, cue -> cue));
        List<UploadedCue> lines = new ArrayList<>();
        for (Piece piece : upload.pieces()) {
            CueView cue = cues.get(piece.cue());
            if (cue != null) {
                lines.add(new UploadedCue(
                        cue.id(),
                        cue.number(),
                        cue.cue().text(),
                        piece.from(),
                        piece.to(),
                        piece.wanted(),
                        piece.take() != null));
            }
        }
        List<Left> left = all.stream()
                .filter(cue -> upload.role().isEmpty() || cue.cue().role().equalsIgnoreCase(upload.role()))
                .filter(cue -> lines.stream().noneMatch(line -> line.cue().equals(cue.id())))
                .map(cue -> new Left(cue.id(), cue.number(), cue.cue().text()))
                .toList();
        return new Shown(
                upload.id(),
                upload.name(),
                upload.state().id(),
                problem,
                upload.sound() == null ? 0 : upload.sound().seconds(),
                upload.role(),
                lines,
                left);
    }
}
