package org.logophon.app.services.rendering;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.UUID;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.TakeKeeping;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.app.services.project.take.Take;
import org.logophon.core.voice.finish.Clip;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Sound for playing: takes, and lines that are no takes. */
@RestController
@RequestMapping("/projects/{id}")
class SoundController {

    private final Projects projects;
    private final TakeKeeping keeping;
    private final SpeechRepository speeches;
    private final TakeSound sound;

    SoundController(Projects projects, TakeKeeping keeping, SpeechRepository speeches, TakeSound sound) {
        this.projects = projects;
        this.keeping = keeping;
        this.speeches = speeches;
        this.sound = sound;
    }

    /** A line that was asked for by ear. */
    @GetMapping("/lines/{recipe}.wav")
    void line(
            @PathVariable UUID id,
            @PathVariable String recipe,
            @RequestHeader(name = HttpHeaders.RANGE, required = false) String range,
            HttpServletResponse response)
            throws IOException {
        Project project = projects.require(id);
        StoredSpeech speech =
                speeches.ofRecipe(recipe).orElseThrow(() -> new NotFound("This line has expired. Play it again."));
        CacheControl caching = CacheControl.maxAge(Duration.ofMinutes(30)).cachePrivate();
        RangedAnswer.write(TakeSound.wav(sound.line(speech.sound(), project.targetLufs())), range, caching, response);
    }

    /**
     * The stamp in the address changes with the sound, so that a browser may keep what it has heard; under an old stamp
     * nothing is kept.
     */
    @GetMapping("/takes/{take}/sound/{stamp}.wav")
    void sound(
            @PathVariable UUID id,
            @PathVariable UUID take,
            @PathVariable String stamp,
            @RequestHeader(name = HttpHeaders.RANGE, required = false) String range,
            HttpServletResponse response)
            throws IOException {
        write(id, take, stamp, range, response, TakeSound::stamp, sound::of);
    }

    /** The same for comparing it with other takes. */
    @GetMapping("/takes/{take}/even/{stamp}.wav")
    void even(
            @PathVariable UUID id,
            @PathVariable UUID take,
            @PathVariable String stamp,
            @RequestHeader(name = HttpHeaders.RANGE, required = false) String range,
            HttpServletResponse response)
            throws IOException {
        write(id, take, stamp, range, response, TakeSound::evenStamp, sound::even);
    }

    /** What a take's sound comes to in its project. */
    private interface OfTake<T> {

        T of(StoredSound sound, Project project, CueView cue);
    }

    private void write(
            UUID id,
            UUID take,
            String stamp,
            String range,
            HttpServletResponse response,
            OfTake<String> stamps,
            OfTake<Clip> clips)
            throws IOException {
        Take found = keeping.require(id, take);
        Project project = projects.require(id);
        CueView cue = projects.cue(id, found.cueId());
        boolean current = stamp.equals(stamps.of(found.sound(), project, cue));
        RangedAnswer.write(TakeSound.wav(clips.of(found.sound(), project, cue)), range, caching(current), response);
    }

    private static CacheControl caching(boolean current) {
        return current
                ? CacheControl.maxAge(Duration.ofHours(12)).cachePrivate().immutable()
                : CacheControl.noStore();
    }
}
