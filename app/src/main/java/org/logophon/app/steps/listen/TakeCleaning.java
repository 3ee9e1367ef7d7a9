package org.logophon.app.steps.listen;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.TakeRepository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lets takes go that nobody said anything of; and, by hand only, the sound of deleted ones. */
@Service
class TakeCleaning {

    private final ProjectRepository table;
    private final TakeRepository takes;
    private final SpeechRepository speeches;
    private final AudioStore audio;

    TakeCleaning(ProjectRepository table, TakeRepository takes, SpeechRepository speeches, AudioStore audio) {
        this.table = table;
        this.takes = takes;
        this.speeches = speeches;
        this.audio = audio;
    }

    /** @return how many */
    @Transactional
    public int deleteLoose(UUID project) {
        table.hold(project);
        List<UUID> loose = takes.loose(project);
        loose.forEach(take -> takes.setDeleted(take, true));
        return loose.size();
    }

    /** @return bytes that are free again: sound that another take or project uses stays */
    @Transactional
    public long empty(UUID project) {
        table.hold(project);
        return audio.remove(speeches.remove(takes.empty(project)));
    }
}
