package org.logophon.app.steps.listen;

import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.disk.NeedsNoRoom;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.project.TakeKeeping;
import org.logophon.app.services.project.take.TakeChoice;
import org.logophon.app.services.project.take.TakeRepository;
import org.logophon.app.services.project.take.TakeSpace;
import org.logophon.app.services.project.take.TakeWords;
import org.logophon.app.services.rendering.RenderService;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Takes: more of them, which one is kept, what is said of them, and which go. */
@RestController
@RequestMapping("/projects/{id}/listen")
class TakeController {

    private final TakeKeeping keeping;
    private final TakeRepository takes;
    private final TakeCleaning cleaning;
    private final RenderService rendering;

    TakeController(TakeKeeping keeping, TakeRepository takes, TakeCleaning cleaning, RenderService rendering) {
        this.keeping = keeping;
        this.takes = takes;
        this.cleaning = cleaning;
        this.rendering = rendering;
    }

    @PostMapping("/takes/{take}/keep")
    SentenceAnswer keep(@PathVariable UUID id, @PathVariable UUID take) {
        keeping.keep(id, take);
        return new SentenceAnswer(keeping.require(id, take).name() + " is kept.");
    }

    /** @param labels with commas between them */
    @PostMapping("/takes/{take}/words")
    SentenceAnswer describe(
            @PathVariable UUID id,
            @PathVariable UUID take,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "false") boolean starred,
            @RequestParam(defaultValue = "") String remark,
            @RequestParam(defaultValue = "") String labels) {
        keeping.require(id, take);
        if (!takes.describe(take, TakeWords.typed(name, starred, remark, labels))) {
            throw new NotFound("This take was deleted for good. Reload the page.");
        }
        return new SentenceAnswer("Saved.");
    }

    @NeedsNoRoom
    @PostMapping("/takes/{take}/delete")
    SentenceAnswer delete(@PathVariable UUID id, @PathVariable UUID take) {
        keeping.setDeleted(id, take, true);
        return new SentenceAnswer("Take deleted. Restore brings it back.");
    }

    @PostMapping("/takes/{take}/restore")
    SentenceAnswer restore(@PathVariable UUID id, @PathVariable UUID take) {
        keeping.setDeleted(id, take, false);
        return new SentenceAnswer("Take restored.");
    }

    /** More takes of a cue. Hired voices: their price first (402). */
    @PostMapping("/cues/{cue}/more")
    SentenceAnswer more(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam(defaultValue = "1") int count,
            @RequestParam(defaultValue = "0") int agreed) {
        rendering.more(id, cue, count, agreed);
        return new SentenceAnswer(count == 1 ? "Rendering a new take." : count + " new takes are being rendered.");
    }

    /** Of each cue of a scene the newest, the shortest or the starred take is kept. @param scene empty for all */
    @PostMapping("/keep")
    SentenceAnswer keepChosen(
            @PathVariable UUID id, @RequestParam TakeChoice choice, @RequestParam(defaultValue = "") String scene) {
        Map<UUID, UUID> wanted = takes.chosen(id, choice, scene);
        if (wanted.isEmpty()) {
            throw new Refused(
                    choice == TakeChoice.STARRED ? "No takes there are starred." : "There are no takes there to keep.");
        }
        int changed = keeping.keepAll(id, wanted);
        return new SentenceAnswer(
                changed == 0
                        ? "The " + choice.label() + " takes are kept already."
                        : changed == 1 ? "1 cue has another take now." : changed + " cues have another take now.");
    }

    /** Cues whose takes differ by chance, each once more. @param scene empty for all */
    @PostMapping("/again")
    SentenceAnswer again(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String scene,
            @RequestParam(defaultValue = "0") int agreed) {
        int count = rendering.renderAgain(
                id, cue -> scene.isEmpty() || cue.cue().scene().equals(scene), agreed);
        return new SentenceAnswer(count == 1 ? "1 cue is rendered again." : count + " cues are rendered again.");
    }

    @GetMapping("/storage")
    TakeSpace space(@PathVariable UUID id) {
        return takes.space(id);
    }

    @NeedsNoRoom
    @PostMapping("/clean")
    SentenceAnswer clean(@PathVariable UUID id) {
        int count = cleaning.deleteLoose(id);
        return new SentenceAnswer(
                count == 0
                        ? "Every take is kept, starred, named or labelled."
                        : (count == 1 ? "1 take was deleted." : count + " takes were deleted.")
                                + " They can be restored until they are emptied.");
    }

    @NeedsNoRoom
    @PostMapping("/empty")
    SentenceAnswer empty(@PathVariable UUID id) {
        long bytes = cleaning.empty(id);
        return new SentenceAnswer(String.format(java.util.Locale.ROOT, "Emptied. %.1f MB freed.", bytes / 1e6));
    }
}
