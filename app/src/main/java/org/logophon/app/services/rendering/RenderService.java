package org.logophon.app.services.rendering;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import java.util.function.Predicate;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.hired.Prices;
import org.logophon.app.services.hired.Quote;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.MarkRepository;
import org.logophon.app.services.project.ProjectRepository;
import org.logophon.app.services.project.Projects;
import org.logophon.core.voice.render.Recipe;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** The service that starts, follows and stops renders. */
@Service
public class RenderService {

    private static final int MOST_AT_ONCE = 9;
    /**
     * Where a role has no liveliness, more takes of it have this much: enough to hear, and little enough to be the
     * same.
     */
    private static final int LIVELY_PERCENT = 30;

    private final Projects projects;
    private final ProjectRepository table;
    private final BatchRepository batches;
    private final Lanes lanes;
    private final Prices prices;
    private final MarkRepository marks;
    private final TransactionTemplate transaction;

    RenderService(
            Projects projects,
            ProjectRepository table,
            BatchRepository batches,
            Lanes lanes,
            Prices prices,
            MarkRepository marks,
            TransactionTemplate transaction) {
        this.projects = projects;
        this.table = table;
        this.batches = batches;
        this.lanes = lanes;
        this.prices = prices;
        this.marks = marks;
        this.transaction = transaction;
    }

    /**
     * Every cue that isn't as it should be and can be.
     *
     * @param agreed characters of hired voices that somebody has agreed to pay for
     * @return how many were added
     * @throws org.logophon.app.platform.failure.PriceFirst when that is too few
     * @throws Refused with a sentence when the allowance doesn't reach
     */
    public int renderChanged(UUID project, int agreed) {
        return render(project, wanted(project), agreed);
    }

    /** Every cue that costs nothing to render. @return how many were added */
    public int renderFree(UUID project) {
        return render(project, free(wanted(project)), 0);
    }

    /** How many cues {@link #renderFree} would add. */
    public int countFree(UUID project) {
        return free(wanted(project)).size();
    }

    /** What it costs to make these cues. */
    public Quote quote(List<CueView> cues) {
        return prices.quote(recipes(cues));
    }

    private List<CueView> wanted(UUID project) {
        return projects.view(project).cues().stream()
                .filter(CueView::wantsRender)
                .toList();
    }

    /** Cues of a scene whose takes differ by chance, each with another one; what they were stays as takes. */
    public int renderAgain(UUID project, Predicate<CueView> which, int agreed) {
        List<CueView> lively = projects.view(project).cues().stream()
                .filter(which)
                .filter(cue -> cue.recipe() != null
                        && cue.recipe().score().livelyPercent() > 0
                        && cue.state() != CueState.RENDERING)
                .toList();
        if (lively.isEmpty()) {
            throw new Refused("New takes would sound the same. Set a role’s liveliness above 0 % on Direct, or make "
                    + "new takes of a cue with M.");
        }
        UUID agreement = prices.agree(project, recipes(lively), agreed);
        List<UUID> ids = lively.stream().map(CueView::id).toList();
        transaction.executeWithoutResult(status -> {
            table.hold(project);
            ids.forEach(marks::reseed);
            batches.create(project, ids, agreement, null);
            lanes.wanted();
        });
        return ids.size();
    }

    private static List<Recipe> recipes(List<CueView> cues) {
        return cues.stream().map(CueView::recipe).filter(Objects::nonNull).toList();
    }

    private static List<CueView> free(List<CueView> cues) {
        return cues.stream()
                .filter(cue -> cue.recipe().pieces().stream()
                        .allMatch(piece -> piece.recipe().voice().terms().free()))
                .toList();
    }

    /** @param agreed as in {@link #renderChanged} @throws Refused with a sentence when the cue can't be rendered */
    public int renderCue(UUID project, UUID cue, int agreed) {
        CueView view = projects.cue(project, cue);
        if (view.recipe() == null || view.problem() != null && !view.wantsRender()) {
            throw new Refused(view.problem());
        }
        if (view.state() == CueState.RENDERING) {
            hurry(project, cue);
            return 0;
        }
        return view.state() == CueState.READY ? 0 : render(project, List.of(view), agreed);
    }

    /**
     * More takes of a cue, each by another chance, beside the kept one.
     *
     * @param agreed as in {@link #renderChanged}
     * @throws Refused with a sentence when the cue can't be rendered
     */
    public void more(UUID project, UUID cue, int count, int agreed) {
        CueView view = projects.cue(project, cue);
        if (view.recipe() == null || view.problem() != null && !view.wantsRender()) {
            throw new Refused(view.problem());
        }
        if (count < 1 || count > MOST_AT_ONCE) {
            throw new Refused("From 1 to " + MOST_AT_ONCE + " takes at once at most.");
        }
        int lively = view.recipe().score().livelyPercent();
        List<Batch.Chance> chances = ThreadLocalRandom.current()
                .longs(count, 1, Integer.MAX_VALUE)
                .mapToObj(seed -> new Batch.Chance(seed, lively == 0 ? LIVELY_PERCENT : lively))
                .toList();
        // a service of hired voices makes the words once and is paid once: what differs is done to them here
        UUID agreement = prices.agree(project, recipes(List.of(view)), agreed);
        transaction.executeWithoutResult(status -> {
            table.hold(project);
            for (Batch.Chance chance : chances) {
                batches.create(project, List.of(cue), agreement, chance);
            }
            lanes.wanted();
        });
    }

    private int render(UUID project, List<CueView> cues, int agreed) {
        if (cues.isEmpty()) {
            return 0;
        }
        UUID agreement = prices.agree(project, recipes(cues), agreed);
        List<UUID> ids = new ArrayList<>(cues.stream().map(CueView::id).toList());
        // the service of hired voices was asked before: no connection is held while it thinks
        transaction.executeWithoutResult(status -> {
            table.hold(project);
            // asked for twice at once is asked for once
            ids.removeAll(batches.underWay(project));
            if (ids.isEmpty()) {
                return;
            }
            batches.create(project, ids, agreement, null);
            lanes.wanted();
        });
        return ids.size();
    }

    private void hurry(UUID project, UUID cue) {
        transaction.executeWithoutResult(status -> {
            table.hold(project);
            batches.hurry(project, cue);
            lanes.wanted();
        });
    }

    /** Begins no more of what waits, until {@link #goOn}; what is being rendered is rendered to its end. */
    @Transactional
    public void pause(UUID project) {
        table.hold(project);
        batches.pause(project, true);
    }

    @Transactional
    public void goOn(UUID project) {
        table.hold(project);
        batches.pause(project, false);
        lanes.wanted();
    }

    @Transactional
    public void cancel(UUID project) {
        table.hold(project);
        batches.cancel(project);
    }

    /** The batch that is under way, or else the last one. */
    public Optional<Batch> latest(UUID project) {
        return batches.latest(project);
    }
}
