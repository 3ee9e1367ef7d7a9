package org.logophon.app.steps.cast;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.DoneAnswer;
import org.logophon.app.platform.web.DoneOnce;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.voices.HouseVoices;
import org.logophon.app.services.voices.MoreVoices;
import org.logophon.app.services.voices.VoiceFiguresRepository;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.described.Description;
import org.logophon.core.voice.described.VoiceMatcher;
import org.logophon.core.voice.figures.ClearnessTable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The house's own voices: made by hand, or from a description. */
@RestController
class HouseVoiceController {

    private static final int MOST_PROPOSED = 6;

    private final HouseVoices house;
    private final VoiceCatalogue voices;
    private final VoiceFiguresRepository figures;
    private final Projects projects;
    private final ClearnessTable clearness;
    private final MoreVoices more;

    HouseVoiceController(
            HouseVoices house,
            VoiceCatalogue voices,
            VoiceFiguresRepository figures,
            Projects projects,
            ClearnessTable clearness,
            MoreVoices more) {
        this.house = house;
        this.voices = voices;
        this.figures = figures;
        this.projects = projects;
        this.clearness = clearness;
        this.more = more;
    }

    /** @param flags what would sound made */
    record SavedVoice(String voice, String name, List<String> flags) {

        static SavedVoice of(Voice voice) {
            return new SavedVoice(voice.id(), voice.name(), voice.tuning().unnatural());
        }
    }

    /** @param effect empty for none */
    record Tuned(int pace, double pitch, int range, double timbre, String effect, int mix) {

        static Tuned of(Tuning tuning) {
            return new Tuned(
                    tuning.pacePercent(),
                    tuning.semitones(),
                    tuning.rangePercent(),
                    tuning.timbreSemitones(),
                    tuning.effect() == null ? "" : tuning.effect().id(),
                    tuning.effectPercent());
        }
    }

    record Candidate(String voice, String name, List<String> reasons, Tuned tuning) {}

    /** @param sentence when nothing was found, or some words weren't understood; else empty */
    record Candidates(List<Candidate> candidates, String sentence) {}

    @DoneOnce
    @PostMapping("/projects/{id}/voices/house")
    SavedVoice make(
            @RequestParam String name,
            @RequestParam(defaultValue = "") String description,
            @RequestParam String base,
            TuningForm form) {
        return SavedVoice.of(house.make(name, description, base, form.tuning()));
    }

    @PostMapping("/projects/{id}/voices/{voice}/house")
    SavedVoice change(
            @PathVariable String voice,
            @RequestParam String name,
            @RequestParam(defaultValue = "") String description,
            TuningForm form) {
        return SavedVoice.of(house.change(voice, name, description, form.tuning()));
    }

    @PostMapping("/projects/{id}/voices/{voice}/remove")
    DoneAnswer remove(@PathVariable String voice) {
        house.remove(voice);
        return new DoneAnswer();
    }

    /** Better voices of a language, from Debian. */
    @PostMapping("/projects/{id}/voices/get")
    SentenceAnswer get(@RequestParam String language) {
        return new SentenceAnswer(more.get(language));
    }

    /** What would sound made of a tuning, while it is set. */
    @GetMapping("/projects/{id}/voices/flags")
    List<String> flags(TuningForm form) {
        return form.tuning().unnatural();
    }

    /** The voices closest to a plain description, with what would bring them closer. */
    @GetMapping("/projects/{id}/cast/described")
    Candidates described(@PathVariable UUID id, @RequestParam String words) {
        Project project = projects.require(id);
        if (words.length() > FieldLimits.VOICE_DESCRIPTION) {
            throw new Refused("A description has at most %d characters.".formatted(FieldLimits.VOICE_DESCRIPTION));
        }
        VoiceMatcher described = new VoiceMatcher(voices.all(), figures.all(), clearness::of);
        Description description = Description.of(words, described.places());
        if (description.empty()) {
            return new Candidates(
                    List.of(),
                    "Describe the speaker: man or woman, old or young, deep or high, slow or brisk, warm "
                            + "or bright, even or lively, and from where.");
        }
        List<Candidate> found = described.closest(description, project.language(), MOST_PROPOSED).stream()
                .map(proposal -> new Candidate(
                        proposal.voice().id(),
                        proposal.voice().name(),
                        proposal.reasons(),
                        Tuned.of(proposal.tuning())))
                .toList();
        String unknown = description.unknown().isEmpty()
                ? ""
                : "Not understood: " + String.join(", ", description.unknown()) + ".";
        return new Candidates(found, found.isEmpty() ? "No voices match. " + unknown : unknown);
    }
}
