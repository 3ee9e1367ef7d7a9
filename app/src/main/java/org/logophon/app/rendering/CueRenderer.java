package org.logophon.app.rendering;

import java.util.Optional;
import java.util.UUID;
import org.logophon.app.hired.Paying;
import org.logophon.app.project.CueRepository;
import org.logophon.app.project.CueView;
import org.logophon.app.project.Projects;
import org.logophon.app.project.SpeakingRates;
import org.logophon.app.web.NotFound;
import org.logophon.core.render.Narrator;
import org.logophon.core.render.Recipe;
import org.logophon.core.render.SpeechFailed;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Does one render job: from the cue as it is now to a kept take. */
@Component
class CueRenderer {

    private static final Logger LOG = LoggerFactory.getLogger(CueRenderer.class);

    private final Projects projects;
    private final CueRepository cues;
    private final SpeechRepository speeches;
    private final TakeRepository takes;
    private final BatchRepository batches;
    private final SpeakingRates rates;
    private final Narrator narrator;
    private final JdbcClient jdbc;
    private final TransactionTemplate transaction;

    CueRenderer(
            Projects projects,
            CueRepository cues,
            SpeechRepository speeches,
            TakeRepository takes,
            BatchRepository batches,
            SpeakingRates rates,
            Narrator narrator,
            JdbcClient jdbc,
            TransactionTemplate transaction) {
        this.projects = projects;
        this.cues = cues;
        this.speeches = speeches;
        this.takes = takes;
        this.batches = batches;
        this.rates = rates;
        this.narrator = narrator;
        this.jdbc = jdbc;
        this.transaction = transaction;
    }

    /** Failures of speech end with the cue; failures of the database are thrown, and the job comes again. */
    void run(RenderJob job) {
        if (!batches.waiting(job.batch(), job.cue())) {
            return;
        }
        String problem = null;
        try {
            CueView cue = view(job);
            if (cue.recipe() == null) {
                problem = cue.problem();
            } else {
                StoredSpeech made = speeches.exists(cue.recipe().hash())
                        ? null
                        : Paying.under(batches.agreement(job.batch()), () -> make(cue.recipe()));
                save(job, cue, made);
                return;
            }
        } catch (NotFound gone) {
            problem = gone.getMessage();
        } catch (SpeechFailed failed) {
            LOG.warn("Cue {} of batch {} failed: {}", job.cue(), job.batch(), failed.getMessage());
            problem = failed.getMessage();
        }
        batches.finish(job.batch(), job.cue(), problem);
    }

    private CueView view(RenderJob job) {
        Optional<UUID> project = jdbc.sql("select project_id from batch where id = :batch")
                .param("batch", job.batch())
                .query(UUID.class)
                .optional();
        return projects.cue(project.orElseThrow(() -> new NotFound("The project is gone.")), job.cue());
    }

    private StoredSpeech make(Recipe recipe) {
        return StoredSpeech.of(narrator.render(recipe), recipe);
    }

    /** Speech, take, kept mark and the job's end are saved together: a kill in between loses all of them or none. */
    private void save(RenderJob job, CueView cue, StoredSpeech made) {
        transaction.executeWithoutResult(status -> {
            if (made != null) {
                speeches.save(cue.recipe(), made);
            }
            UUID take = takes.takeOf(cue.id(), cue.recipe());
            cues.keep(cue.id(), take, cue.recipe().hash());
            batches.finish(job.batch(), job.cue(), null);
        });
        rates.changed();
    }
}
