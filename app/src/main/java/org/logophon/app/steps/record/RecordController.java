package org.logophon.app.steps.record;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.audio.SoundFiles;
import org.logophon.app.platform.web.Costly;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.page.ProjectPage;
import org.logophon.app.services.page.Step;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.coding.FloatFile;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.align.LongCut;
import org.logophon.core.voice.recording.Cleaning;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The page in which a person says the cues of a role. */
@Controller
@RequestMapping("/projects/{id}/record")
class RecordController {

    private final Projects projects;
    private final ProjectPage page;
    private final CueRecordings cues;
    private final Recordings recordings;
    private final Recasting recasting;
    private final RecordingCleaning cleaning;
    private final Uploads uploads;
    private final SoundFiles files;
    private final VoiceCatalogue voices;

    RecordController(
            Projects projects,
            ProjectPage page,
            CueRecordings cues,
            Recordings recordings,
            Recasting recasting,
            RecordingCleaning cleaning,
            Uploads uploads,
            SoundFiles files,
            VoiceCatalogue voices) {
        this.projects = projects;
        this.page = page;
        this.cues = cues;
        this.recordings = recordings;
        this.recasting = recasting;
        this.cleaning = cleaning;
        this.uploads = uploads;
        this.files = files;
        this.voices = voices;
    }

    /** Which role and which cue are shown the page's own address says. */
    @GetMapping
    String page(@PathVariable UUID id, Model model) {
        ProjectView view = projects.view(id);
        page.fill(model, view, Step.LISTEN);
        model.addAttribute(
                "speaking",
                view.cues().stream().map(cue -> cue.cue().role()).distinct().toList());
        model.addAttribute(
                "voices",
                voices.all().stream()
                        .filter(voice -> voice.terms().free() && !voice.whispers())
                        .toList());
        return "record";
    }

    /** @param role empty for all of them */
    @GetMapping("/cues")
    @ResponseBody
    List<CueRecordings.Row> rows(@PathVariable UUID id, @RequestParam(defaultValue = "") String role) {
        return cues.rows(id, role);
    }

    @GetMapping("/cues/{cue}")
    @ResponseBody
    CueRecordings.Sheet sheet(@PathVariable UUID id, @PathVariable UUID cue) {
        return cues.sheet(id, cue);
    }

    /** What was made of a request. @param take null where several were, or none yet */
    record Taken(UUID take, String sentence) {}

    /** The sound of one cue, as it comes. @param name of the file; empty for what was recorded in the page */
    @Costly
    @PostMapping("/cues/{cue}")
    @ResponseBody
    Taken recorded(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam(defaultValue = "") String name,
            InputStream sent)
            throws IOException {
        projects.cue(id, cue);
        if (!name.isEmpty()) {
            return files.read(sent, name, sound -> brought(id, cue, name, sound));
        }
        return files.read(
                sent,
                "The recording",
                sound -> new Taken(
                        recordings.take(id, cue, whole(sound), Recordings.RecordingOrigin.RECORDED, false),
                        "Recorded. Keep it, or record again."));
    }

    private static Sound whole(SoundSource sound) {
        return Recordings.stretch(sound, 0, sound.length() / (double) sound.rate());
    }

    /** A file in which a cue is said several times becomes as many takes; the last one is kept. */
    private Taken brought(UUID id, UUID cue, String name, FloatFile sound) {
        UUID take = null;
        List<LongCut.Said> times = uploads.times(id, cue, sound);
        for (LongCut.Said said : times) {
            take = recordings.take(
                    id,
                    cue,
                    Recordings.stretch(sound, said.fromSeconds(), said.toSeconds()),
                    Recordings.RecordingOrigin.UPLOADED,
                    true);
        }
        String taken = times.size() == 1
                ? name + " is imported and kept."
                : name + " has it " + times.size() + " times: as many takes, and the last is kept.";
        return new Taken(take, (taken + " " + sound.remark()).strip());
    }

    /** A recording, cleaned: another take, which is kept. */
    @Costly
    @PostMapping("/takes/{take}/clean")
    @ResponseBody
    Taken clean(
            @PathVariable UUID id,
            @PathVariable UUID take,
            @RequestParam(defaultValue = "0") double noise,
            @RequestParam(defaultValue = "0") int hum,
            @RequestParam(defaultValue = "false") boolean rumble,
            @RequestParam(defaultValue = "false") boolean clicks,
            @RequestParam(defaultValue = "false") boolean clipped,
            @RequestParam(defaultValue = "0") double gaps)
            throws IOException {
        Cleaning wanted = new Cleaning(noise, hum, rumble, clicks, clipped, gaps);
        UUID made = cleaning.clean(id, take, wanted);
        return new Taken(made, "Cleaned and kept: " + wanted.words() + ".");
    }

    /** Another voice says a recording. */
    @Costly
    @PostMapping("/takes/{take}/recast")
    @ResponseBody
    SentenceAnswer recast(
            @PathVariable UUID id,
            @PathVariable UUID take,
            @RequestParam String voice,
            @RequestParam(defaultValue = "100") int timing,
            @RequestParam(defaultValue = "100") int melody,
            @RequestParam(defaultValue = "true") boolean ownPitch) {
        return new SentenceAnswer(recasting.recast(id, take, voice, timing, melody, ownPitch));
    }

    /** A cue that was recorded is said by its role's voice again. */
    @PostMapping("/cues/{cue}/voice")
    @ResponseBody
    SentenceAnswer byVoice(@PathVariable UUID id, @PathVariable UUID cue) {
        return new SentenceAnswer(recasting.byVoice(id, cue));
    }
}
