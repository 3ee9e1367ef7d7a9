package org.logophon.app.steps.record;

import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.voices.HouseVoices;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A voice that measures like a person. */
@RestController
@RequestMapping("/projects/{id}/record/likeness")
class LikenessController {

    private final Likenesses likenesses;
    private final HouseVoices house;

    LikenessController(Likenesses likenesses, HouseVoices house) {
        this.likenesses = likenesses;
        this.house = house;
    }

    @GetMapping
    Likenesses.Found find(@PathVariable UUID id, @RequestParam String role) {
        return likenesses.of(id, role);
    }

    /** @param agreed that the person who speaks has agreed */
    @PostMapping
    SentenceAnswer make(
            @PathVariable UUID id,
            @RequestParam String name,
            @RequestParam String base,
            @RequestParam int pace,
            @RequestParam double semitones,
            @RequestParam int range,
            @RequestParam double timbre,
            @RequestParam(defaultValue = "false") boolean agreed) {
        if (!agreed) {
            throw new Refused("A voice like a person’s needs their consent. Ask them, and tick that they agreed.");
        }
        Voice made = house.make(
                name, "measured like a recording", base, new Tuning(pace, semitones, range, timbre, null, 0));
        return new SentenceAnswer(made.name() + " is saved as a house voice. All projects can cast it.");
    }
}
