package org.logophon.app.steps.place;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Picture;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.core.input.table.SafeCell;
import org.logophon.core.time.place.PictureFollows;
import org.logophon.core.time.place.PictureFollows.Followed;
import org.logophon.core.time.place.PictureFollows.Shot;
import org.logophon.core.time.programme.Placement.InSlot;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.time.timecode.FrameRate;
import org.logophon.core.time.timecode.Timecode;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The other way round: how the picture would have to change, for those who cut to the voice. */
@RestController
@RequestMapping("/projects/{id}/place")
class FollowController {

    private final Projects projects;

    FollowController(Projects projects) {
        this.projects = projects;
    }

    @GetMapping("/picture.csv")
    ResponseEntity<byte[]> table(@PathVariable UUID id) throws IOException {
        ProjectView view = projects.view(id);
        FrameRate rate = view.project().picture().counting();
        StringWriter text = new StringWriter();
        CSVPrinter csv = new CSVPrinter(
                text,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(
                                "cue", "in", "out", "frames", "needs", "change", "speed_percent", "new_in", "new_out")
                        .get());
        for (Followed followed : followed(view)) {
            Shot shot = followed.shot();
            csv.printRecord(
                    SafeCell.of(shot.number()),
                    Timecode.written(shot.in(), rate),
                    Timecode.written(shot.in() + shot.frames(), rate),
                    shot.frames(),
                    shot.clipFrames(),
                    followed.change(),
                    String.format(Locale.ROOT, "%.2f", followed.percent()),
                    Timecode.written(followed.newIn(), rate),
                    Timecode.written(followed.newOut(), rate));
        }
        return answer("picture.csv", "text/csv;charset=UTF-8", text.toString());
    }

    @GetMapping("/picture.edl")
    ResponseEntity<byte[]> list(@PathVariable UUID id) {
        ProjectView view = projects.view(id);
        return answer(
                "picture.edl",
                "text/plain;charset=UTF-8",
                PictureFollows.edl(
                        view.project().name(),
                        followed(view),
                        view.project().picture().counting()));
    }

    private static List<Followed> followed(ProjectView view) {
        Picture picture = view.project().picture();
        FrameRate rate = picture.counting();
        List<Shot> shots = new ArrayList<>();
        for (PlacedClip<CueView> clip : view.programme().clips()) {
            CueView cue = clip.cue();
            if (cue.cue().place().placement(cue.cue().slot(), picture) instanceof InSlot slot) {
                long in = rate.frameAt(slot.in().samples(), SampleCount.RATE);
                long out = rate.frameAt(slot.out().samples(), SampleCount.RATE);
                long needs = rate.frameAt(rate.rounded(clip.length().samples(), SampleCount.RATE), SampleCount.RATE);
                shots.add(new Shot(cue.number(), picture.startFrame() + in, out - in, Math.max(1, needs)));
            }
        }
        return PictureFollows.of(shots);
    }

    private static ResponseEntity<byte[]> answer(String name, String type, String text) {
        HttpHeaders headers = new HttpHeaders();
        headers.setContentType(MediaType.parseMediaType(type));
        headers.setContentDisposition(
                ContentDisposition.attachment().filename(name).build());
        return new ResponseEntity<>(text.getBytes(StandardCharsets.UTF_8), headers, 200);
    }
}
