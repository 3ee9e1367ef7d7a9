package org.logophon.app.steps.cast;

import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.voices.VoiceMeasuring;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Measuring a hired voice, which costs the characters of the passage that it reads. */
@RestController
@RequestMapping("/projects/{id}/voices/{voice}/measure")
class MeasureController {

    private final VoiceMeasuring measuring;
    private final VoiceCatalogue voices;

    MeasureController(VoiceMeasuring measuring, VoiceCatalogue voices) {
        this.measuring = measuring;
        this.voices = voices;
    }

    @GetMapping
    SentenceAnswer free(@PathVariable String voice) {
        return measured(voice, 0);
    }

    /** Once its price was agreed to. @param agreed characters */
    @PostMapping
    SentenceAnswer paid(@PathVariable String voice, @RequestParam int agreed) {
        return measured(voice, agreed);
    }

    private SentenceAnswer measured(String id, int agreed) {
        Voice voice = voices.find(id).orElseThrow(() -> new NotFound("There is no voice " + id + "."));
        measuring.measurePaid(voice, agreed);
        return new SentenceAnswer(voice.name() + " is measured.");
    }
}
