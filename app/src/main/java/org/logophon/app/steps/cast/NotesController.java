package org.logophon.app.steps.cast;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.Set;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.DoneAnswer;
import org.logophon.app.services.page.FieldLimits;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The addresses of notes on voices. */
@RestController
@RequestMapping("/projects/{id}/voices/{voice}")
class NotesController {

    /** As it was kept. */
    record NoteAnswer(String note, Set<String> groups) {}

    private static final int MOST_GROUPS = 20;

    private final VoiceNotes notes;
    private final VoiceCatalogue voices;

    NotesController(VoiceNotes notes, VoiceCatalogue voices) {
        this.notes = notes;
        this.voices = voices;
    }

    @PostMapping("/shortlist")
    DoneAnswer shortlist(@PathVariable String voice, @RequestParam boolean on) {
        notes.shortlist(require(voice), on);
        return new DoneAnswer();
    }

    @PostMapping("/stars")
    DoneAnswer stars(@PathVariable String voice, @RequestParam int stars) {
        if (stars < 0 || stars > 5) {
            throw new Refused("A voice has 0 to 5 stars.");
        }
        notes.stars(require(voice), stars);
        return new DoneAnswer();
    }

    /** @param groups names, with commas between them */
    @PostMapping("/note")
    NoteAnswer note(
            @PathVariable String voice,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "") String groups) {
        Set<String> names = new LinkedHashSet<>(Arrays.stream(groups.split(","))
                .map(String::strip)
                .filter(name -> !name.isEmpty())
                .toList());
        if (note.length() > FieldLimits.VOICE_NOTE) {
            throw new Refused("A note has at most %,d characters, and this one has %,d."
                    .formatted(FieldLimits.VOICE_NOTE, note.length()));
        }
        if (names.size() > MOST_GROUPS || names.stream().anyMatch(name -> name.length() > FieldLimits.VOICE_GROUP)) {
            throw new Refused("A voice can be in %d groups, each with a name of at most %d characters."
                    .formatted(MOST_GROUPS, FieldLimits.VOICE_GROUP));
        }
        if (names.contains(VoiceFilter.SHORTLIST)) {
            throw new Refused("The name “shortlist” is taken. Choose another name.");
        }
        notes.write(require(voice), note.strip().replace('\0', ' '), names);
        return new NoteAnswer(note.strip(), names);
    }

    private String require(String voice) {
        return voices.find(voice)
                .orElseThrow(() -> new NotFound("There is no voice " + voice + "."))
                .id();
    }
}
