package org.logophon.app.steps.write.readings;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.SoundAnswer;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.Role;
import org.logophon.app.services.rendering.AuditionAudio;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.reading.SaidByRule;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.speech.NativeVoices;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A few words by ear: as they would be said, or as a reading would have them. Answers with where the sound is. */
@RestController
@RequestMapping("/projects/{id}/hear")
class HearController {

    private static final int LONGEST = 500;

    private final Projects projects;
    private final VoiceCatalogue voices;
    private final Narrator narrator;
    private final AuditionAudio lines;

    HearController(Projects projects, VoiceCatalogue voices, Narrator narrator, AuditionAudio lines) {
        this.projects = projects;
        this.voices = voices;
        this.narrator = narrator;
        this.lines = lines;
    }

    /**
     * @param cue whose voice speaks; none for the first role's.
     *
     * @param agreed characters that may be paid for it: without them one that costs is answered with its price
     * @param as how {@code said} is meant; empty to say what is written as it is
     */
    @PostMapping
    SoundAnswer hear(
            @PathVariable UUID id,
            @RequestParam String written,
            @RequestParam(defaultValue = "") String said,
            @RequestParam(defaultValue = "") String as,
            @RequestParam(required = false) UUID cue,
            @RequestParam(defaultValue = "0") int agreed) {
        return heard(id, written, said, as, cue, agreed);
    }

    private SoundAnswer heard(UUID id, String written, String said, String as, UUID cue, int agreed) {
        if (written.isBlank() || written.length() > LONGEST) {
            throw new Refused("There are 1 to " + LONGEST + " characters to hear at once.");
        }
        ProjectView view = projects.view(id);
        Role role = cue == null
                ? view.roles().stream().findFirst().orElse(null)
                : view.cue(cue).map(CueView::role).orElse(null);
        Voice voice = voices.find(role == null || role.voiceId() == null ? NativeVoices.DEFAULT_ID : role.voiceId())
                .or(() -> voices.find(NativeVoices.DEFAULT_ID))
                .orElseThrow();
        String words = written.strip().replaceAll("\\s+", " ");
        List<Pronunciation> readings = as.isBlank()
                ? SaidByRule.of(words, voice.language())
                : List.of(said(new Reading(words, said, PronunciationKind.of(as), null, true), voice));
        ResolvedDirection direction =
                ResolvedDirection.of(view.project().direction(), role == null ? Direction.NONE : role.direction());
        Recipe recipe = Recipe.of(words, readings, voice, narrator.engineVersion(voice), direction);
        lines.say(id, recipe, agreed);
        return new SoundAnswer(AuditionAudio.address(id, recipe));
    }

    private static Pronunciation said(Reading reading, Voice voice) {
        return new Pronunciation(
                0,
                reading.written().length(),
                reading.spoken(voice.language()),
                reading.kind() == PronunciationKind.IPA);
    }
}
