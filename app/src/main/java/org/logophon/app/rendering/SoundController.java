package org.logophon.app.rendering;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.project.CueState;
import org.logophon.app.project.CueView;
import org.logophon.app.project.Project;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Projects;
import org.logophon.app.web.NotFound;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Sound for playing: one take, and the programme that the transport walks through. */
@RestController
@RequestMapping("/projects/{id}")
class SoundController {

    /** As much of a cue's text as a list shows. */
    private static final int LIST_CHARACTERS = 48;

    private final Projects projects;
    private final TakeRepository takes;
    private final SpeechRepository speeches;
    private final TakeSound sound;
    private final AuditionAudio lines;

    SoundController(
            Projects projects, TakeRepository takes, SpeechRepository speeches, TakeSound sound, AuditionAudio lines) {
        this.projects = projects;
        this.takes = takes;
        this.speeches = speeches;
        this.sound = sound;
        this.lines = lines;
    }

    /**
     * A cue in the programme.
     *
     * @param words its first words
     * @param start seconds from the programme's start
     * @param sound address of its kept take; null when it has none
     */
    record ProgrammeCue(
            UUID id,
            String number,
            String role,
            String colour,
            String words,
            String state,
            String word,
            double start,
            double seconds,
            boolean measured,
            double pause,
            String sound) {}

    @GetMapping("/programme")
    Map<String, Object> programme(@PathVariable UUID id) {
        ProjectView view = projects.view(id);
        List<ProgrammeCue> programme = new ArrayList<>();
        double at = 0;
        for (CueView cue : view.cues()) {
            double pause = cue.direction().pauseMillis() / 1000.0;
            double seconds = cue.cue().keptSeconds() != null ? cue.cue().keptSeconds() : cue.seconds();
            programme.add(new ProgrammeCue(
                    cue.id(),
                    cue.number(),
                    cue.cue().role(),
                    cue.role() == null ? "role-0" : cue.role().colour(),
                    beginning(cue.cue().text()),
                    cue.state().style(),
                    cue.state().label(),
                    at,
                    seconds,
                    cue.measured(),
                    pause,
                    address(view, cue)));
            at += seconds + pause;
        }
        return Map.of("cues", programme, "rendering", view.count(CueState.RENDERING));
    }

    private static String beginning(String text) {
        return text.length() <= LIST_CHARACTERS
                ? text
                : text.substring(
                        0,
                        text.offsetByCodePoints(0, Math.min(LIST_CHARACTERS, text.codePointCount(0, text.length()))));
    }

    private static String address(ProjectView view, CueView cue) {
        return cue.cue().keptTake() == null
                ? null
                : "/projects/" + view.id() + "/takes/" + cue.cue().keptTake() + "/sound/"
                        + TakeSound.stamp(cue.cue().takeRecipe(), view.project(), cue) + ".wav";
    }

    /** A line that was asked for by ear. */
    @GetMapping("/lines/{recipe}.wav")
    ResponseEntity<byte[]> line(@PathVariable UUID id, @PathVariable String recipe) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("audio/wav"))
                .cacheControl(CacheControl.maxAge(Duration.ofMinutes(30)).cachePrivate())
                .body(lines.wav(recipe, projects.require(id).targetLufs()));
    }

    /**
     * The stamp in the address changes with the sound, so that a browser may keep what it has heard; under an old stamp
     * nothing is kept.
     */
    @GetMapping("/takes/{take}/sound/{stamp}.wav")
    ResponseEntity<byte[]> sound(@PathVariable UUID id, @PathVariable UUID take, @PathVariable String stamp) {
        Take found = takes.find(take).orElseThrow(() -> new NotFound("This take doesn't exist."));
        CueView cue = projects.cue(id, found.cueId());
        StoredSpeech speech = speeches.find(found.recipe())
                .orElseThrow(() -> new NotFound("The sound of this take is gone. Render the cue again."));
        Project project = projects.require(id);
        byte[] wav = sound.of(speech, found.recipe(), project, cue).wav();
        boolean current = stamp.equals(TakeSound.stamp(found.recipe(), project, cue));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("audio/wav"))
                .cacheControl(
                        current
                                ? CacheControl.maxAge(Duration.ofHours(12))
                                        .cachePrivate()
                                        .immutable()
                                : CacheControl.noStore())
                .body(wav);
    }
}
