package org.logophon.app.services.project.take;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.core.voice.recording.Recorded;
import org.springframework.stereotype.Component;

/** Recordings as those who speak want them: with their words. */
@Component
class RecordedSpeeches implements Recorded.Store {

    private final SpeechRepository speeches;
    private final TakeRepository takes;
    private final AudioStore audio;

    RecordedSpeeches(SpeechRepository speeches, TakeRepository takes, AudioStore audio) {
        this.speeches = speeches;
        this.takes = takes;
        this.audio = audio;
    }

    @Override
    public Optional<Recorded> find(String recording) {
        UUID id = UUID.fromString(recording);
        return speeches.find(id)
                .flatMap(speech -> takes.textOf(id)
                        .map(text -> new Recorded(
                                audio.source(speech.sound()).inMemory(),
                                text,
                                speech.timed(),
                                speeches.timed(List.of(id), true)
                                        .getOrDefault(id, SpeechRepository.Timed.NONE)
                                        .phones())));
    }
}
