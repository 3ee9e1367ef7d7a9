package org.logophon.app.services.rendering;

import java.util.UUID;
import org.logophon.app.platform.disk.DiskRoom;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.SpeakingRates;
import org.logophon.app.services.project.TakeOrigins;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.SpeechFailed;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Renders one cue: from the cue as it is now to a kept take. */
@Component
class CueRenderer {

    private final Projects projects;
    private final ProjectRepository table;
    private final CueRepository cues;
    private final SpeechMaker maker;
    private final TakeRepository takes;
    private final BatchRepository batches;
    private final RenderClaims claims;
    private final SpeakingRates rates;
    private final DiskRoom room;
    private final TransactionTemplate transaction;

    CueRenderer(
            Projects projects,
            ProjectRepository table,
            CueRepository cues,
            SpeechMaker maker,
            TakeRepository takes,
            BatchRepository batches,
            RenderClaims claims,
            SpeakingRates rates,
            DiskRoom room,
            TransactionTemplate transaction) {
        this.projects = projects;
        this.table = table;
        this.cues = cues;
        this.maker = maker;
        this.takes = takes;
        this.batches = batches;
        this.claims = claims;
        this.rates = rates;
        this.room = room;
        this.transaction = transaction;
    }

    /**
     * Ends the cue, with a take or with a sentence; only while the database is away it throws, and the lane comes
     * again.
     */
    void run(RenderJob job) {
        JobRetry.run(
                "Cue " + job.cue() + " of batch " + job.batch(),
                () -> renderWhatIsThere(job),
                problem -> end(job, () -> batches.finish(job.batch(), job.cue(), problem)));
    }

    private void end(RenderJob job, Runnable how) {
        transaction.executeWithoutResult(status -> {
            batches.hold(job.batch());
            if (claims.end(job)) {
                how.run();
            }
        });
    }

    /** A project that is deleted meanwhile may be brought back: then its cues are as they were, and want a render. */
    private void renderWhatIsThere(RenderJob job) {
        try {
            render(job);
        } catch (NotFound gone) {
            end(job, () -> batches.withdraw(job.batch(), job.cue()));
        }
    }

    private void render(RenderJob job) {
        Batch.BatchRequest asked = batches.asked(job.batch());
        CueView cue = projects.cue(asked.project(), job.cue());
        if (cue.recipe() == null) {
            throw new SpeechFailed(cue.problem());
        }
        room.need(0);
        Recipe recipe = recipe(cue, asked.chance());
        save(job, asked, cue, recipe, maker.make(recipe, asked.agreement()));
    }

    private static Recipe recipe(CueView cue, Batch.Chance chance) {
        Score score = cue.recipe().score();
        return chance == null
                ? cue.recipe()
                : cue.recipe()
                        .with(new Score(score.marks(), score.pauseDefaults(), chance.livelyPercent(), chance.seed()));
    }

    /** Take, kept mark and the job's end are saved together: a kill in between loses all of them or none. */
    private void save(RenderJob job, Batch.BatchRequest asked, CueView cue, Recipe recipe, StoredSpeech speech) {
        UUID project = asked.project();
        transaction.executeWithoutResult(status -> {
            table.hold(project);
            if (!claims.end(job)) {
                // this server was taken for dead, and another has done it or does it
                return;
            }
            UUID take = takes.rendered(
                    cue.id(), recipe.hash(), speech.id(), TakeOrigins.of(projects.require(project), cue, recipe));
            if (asked.chance() == null || projects.cue(project, cue.id()).keptTake() == null) {
                cues.keep(cue.id(), take, cue.recipeHash());
                takes.kept(take);
            }
            batches.finish(job.batch(), job.cue(), null);
        });
        rates.changed();
    }
}
