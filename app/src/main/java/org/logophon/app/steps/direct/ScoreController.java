package org.logophon.app.steps.direct;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.DoneAnswer;
import org.logophon.app.platform.web.SentenceAnswer;
import org.logophon.app.services.direction.MarkService;
import org.logophon.app.services.project.CastService;
import org.logophon.app.services.project.CueState;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.take.SpeechRepository;
import org.logophon.app.services.project.take.StoredSpeech;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.MarkLabel;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.input.TypedNumber;
import org.logophon.core.review.suggest.QuotedSpeech;
import org.logophon.core.review.suggest.QuotedSpeech.Quotation;
import org.logophon.core.text.script.WordSpread;
import org.logophon.core.text.script.Words;
import org.logophon.core.voice.render.Measurement;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The marks of a cue, as the score shows and changes them. */
@RestController
@RequestMapping("/projects/{id}")
class ScoreController {

    private final Projects projects;
    private final MarkService scoring;
    private final CastService casting;
    private final SpeechRepository speeches;
    private final HertzPitch hertz;

    ScoreController(
            Projects projects, MarkService scoring, CastService casting, SpeechRepository speeches, HertzPitch hertz) {
        this.projects = projects;
        this.scoring = scoring;
        this.casting = casting;
        this.speeches = speeches;
        this.hertz = hertz;
    }

    /**
     * A mark.
     *
     * @param from    its first word
     * @param to      its last word
     * @param label   as the score writes it
     * @param reached in the mark's own unit, when the kept take has this mark and it could be measured; else null
     * @param made    true when the kept take has it
     */
    record MarkLine(
            int from,
            int to,
            int start,
            int end,
            String kind,
            String value,
            String label,
            String origin,
            String reason,
            Double reached,
            boolean made) {}

    /**
     * @param words      of the cue as it is now, with their places
     * @param quotations in it
     * @param roles      who else may say its words
     * @param seconds    that it takes, or is expected to
     * @param expected   for each word from where to where it may come to sound, in seconds
     * @param phrasing   what it does to the words where no mark says otherwise
     */
    record CueMarks(
            List<int[]> words,
            String text,
            List<MarkLine> marks,
            State state,
            List<Quotation> quotations,
            List<String> roles,
            double seconds,
            List<double[]> expected,
            List<PhrasedCue> phrasing) {}

    /** @param label for people */
    record State(CueState id, String label) {}

    @GetMapping("/cues/{cue}/marks")
    CueMarks marks(@PathVariable UUID id, @PathVariable UUID cue) {
        CueView view = projects.cue(id, cue);
        List<int[]> words = Words.of(view.cue().text()).stream()
                .map(word -> new int[] {word.start(), word.end()})
                .toList();
        List<Double> reached = reached(view);
        List<Mark> scored = view.marks().spoken(view.cue().text());
        List<MarkLine> lines = new ArrayList<>();
        for (Mark mark : view.marks().all()) {
            int at = scored.indexOf(mark);
            lines.add(new MarkLine(
                    firstAt(words, mark.start()),
                    lastAt(words, mark.end()),
                    mark.start(),
                    mark.end(),
                    mark.instruction().id(),
                    mark.instruction().value(),
                    MarkLabel.of(mark.instruction()),
                    mark.origin().name().toLowerCase(Locale.ROOT),
                    mark.reason(),
                    at >= 0 && at < reached.size() ? reached.get(at) : null,
                    at >= 0 && at < reached.size()));
        }
        List<String> roles = casting.roles(id).stream()
                .filter(role -> !role.equalsIgnoreCase(view.cue().role()))
                .toList();
        return new CueMarks(
                words,
                view.cue().text(),
                lines,
                new State(view.state(), view.state().label()),
                QuotedSpeech.in(view.cue().text(), view.marks()),
                roles,
                view.seconds(),
                WordSpread.over(view.cue().text(), view.seconds()).stream()
                        .map(word -> new double[] {word.fromSeconds(), word.toSeconds()})
                        .toList(),
                PhrasedCue.of(view));
    }

    /** Only while the kept take was made with the marks that there are. */
    private List<Double> reached(CueView cue) {
        if (!cue.madeAsAsked()) {
            return List.of();
        }
        return speeches.ofRecipe(cue.recipeHash())
                .map(StoredSpeech::measurement)
                .map(Measurement::marks)
                .orElse(List.of());
    }

    /** A reading may start and end at signs that belong to no word. */
    private static int firstAt(List<int[]> words, int start) {
        return (int) words.stream().filter(word -> word[1] <= start).count();
    }

    private static int lastAt(List<int[]> words, int end) {
        return (int) words.stream().filter(word -> word[0] < end).count() - 1;
    }

    @PostMapping("/cues/{cue}/marks")
    CueMarks set(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam int start,
            @RequestParam int end,
            @RequestParam String kind,
            @RequestParam(defaultValue = "") String value) {
        boolean inHertz =
                kind.equals("pitch") && value.strip().toLowerCase(Locale.ROOT).endsWith("hz");
        String exact = inHertz ? hertz.semitones(projects.cue(id, cue), start, end, value) : value.strip();
        scoring.set(id, cue, Mark.own(start, end, Instruction.of(kind, exact)));
        return marks(id, cue);
    }

    /** Lets a quotation be said by another role, or with a turn of the voice, in one step. */
    @PostMapping("/cues/{cue}/quotation")
    CueMarks quotation(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam int start,
            @RequestParam int end,
            @RequestParam QuotedSpeech.Voicing voicing,
            @RequestParam(defaultValue = "") String role) {
        if (voicing == QuotedSpeech.Voicing.ROLE) {
            casting.require(id, role);
        }
        scoring.change(
                id,
                List.of(projects.cue(id, cue)),
                "voice of a quotation",
                (text, own) -> QuotedSpeech.said(own, text, start, end, voicing, role));
        return marks(id, cue);
    }

    @PostMapping("/cues/{cue}/marks/remove")
    CueMarks remove(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam int start,
            @RequestParam int end,
            @RequestParam String kind) {
        scoring.remove(id, cue, start, end, kind);
        return marks(id, cue);
    }

    /** Moves what stands on some words, or in the gap after them, along by whole words. */
    @PostMapping("/cues/{cue}/marks/move")
    CueMarks move(
            @PathVariable UUID id,
            @PathVariable UUID cue,
            @RequestParam int start,
            @RequestParam int end,
            @RequestParam(defaultValue = "false") boolean gap,
            @RequestParam int by) {
        scoring.change(
                id,
                List.of(projects.cue(id, cue)),
                "marks moved",
                (text, own) -> own.shifted(start, end, gap, by, text));
        return marks(id, cue);
    }

    /** One mark on all words of every cue of a role, or of the whole script. @param role empty for every cue */
    @PostMapping("/marks/all")
    SentenceAnswer all(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String role,
            @RequestParam String kind,
            @RequestParam(defaultValue = "") String value) {
        Instruction instruction = Instruction.of(kind, value.strip());
        if (instruction.onGap()) {
            throw new Refused("A " + kind + " stands between two words; it can't be set on every cue at once.");
        }
        List<CueView> cues = projects.view(id).cues().stream()
                .filter(cue -> role.isEmpty() || cue.cue().role().equalsIgnoreCase(role))
                .filter(cue -> !Words.of(cue.cue().text()).isEmpty())
                .toList();
        int changed = scoring.change(
                id, cues, kind + " of " + (role.isEmpty() ? "every cue" : "every cue of " + role), (text, own) -> {
                    var words = Words.of(text);
                    return own.with(
                            Mark.own(
                                    words.get(0).start(),
                                    words.get(words.size() - 1).end(),
                                    instruction),
                            text);
                });
        return new SentenceAnswer(changed == 1 ? "1 cue changed." : changed + " cues changed.");
    }

    /** Takes every mark off a cue. */
    @PostMapping("/cues/{cue}/marks/clear")
    CueMarks clear(@PathVariable UUID id, @PathVariable UUID cue) {
        scoring.change(id, List.of(projects.cue(id, cue)), "no marks", (text, own) -> Marks.NONE);
        return marks(id, cue);
    }

    /** @param dials true when more than marks is another: the page shows all of the cue anew */
    record TurnedAnswer(String sentence, boolean dials) {}

    @PostMapping("/marks/undo")
    TurnedAnswer undo(@PathVariable UUID id) {
        MarkService.Turned turned = scoring.undo(id);
        return new TurnedAnswer("Undone: " + turned.what() + ".", turned.dials());
    }

    @PostMapping("/marks/redo")
    TurnedAnswer redo(@PathVariable UUID id) {
        MarkService.Turned turned = scoring.redo(id);
        return new TurnedAnswer("Redone: " + turned.what() + ".", turned.dials());
    }

    @PostMapping("/cues/{cue}/more")
    DoneAnswer onceMore(@PathVariable UUID id, @PathVariable UUID cue) {
        scoring.onceMore(id, cue);
        return new DoneAnswer();
    }

    /** How a role rests of itself, and how lively it is; an empty field leaves it to the voice. In seconds. */
    @PostMapping("/roles/rests")
    DoneAnswer rests(
            @PathVariable UUID id,
            @RequestParam String role,
            @RequestParam(defaultValue = "") String comma,
            @RequestParam(defaultValue = "") String stop,
            @RequestParam(defaultValue = "") String least,
            @RequestParam(defaultValue = "") String lively,
            @RequestParam int version) {
        PauseDefaults pauseDefaults = new PauseDefaults(
                millis("The pause at a comma", comma),
                millis("The pause at a full stop", stop),
                millis("The shortest pause between sentences", least));
        Double percent = TypedNumber.read("Liveliness", lively);
        casting.rest(id, role, pauseDefaults, percent == null ? 0 : (int) Math.round(percent), version);
        return new DoneAnswer();
    }

    private static Integer millis(String what, String seconds) {
        Double value = TypedNumber.read(what, seconds);
        return value == null ? null : (int) Math.round(value * 100) * 10;
    }
}
