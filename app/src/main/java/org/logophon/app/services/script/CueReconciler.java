package org.logophon.app.services.script;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.CueRepository.Placed;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ScriptShape;
import org.logophon.app.services.project.review.Happening;
import org.logophon.app.services.project.review.HappeningRepository;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.text.estimate.Syllables;
import org.logophon.core.text.normalization.WrittenForm;
import org.logophon.core.text.normalization.WrittenForms;
import org.logophon.core.text.script.CueMatch;
import org.logophon.core.text.script.FrozenNumbers;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.text.script.Slot;
import org.logophon.core.text.script.Words;
import org.springframework.stereotype.Component;

/**
 * Brings the stored cues in line with a script: who continues whom, with what number and direction, who is new and who
 * is gone.
 */
@Component
class CueReconciler {

    private final CueRepository cues;
    private final MarkMover moves;
    private final NoteMover notes;
    private final HappeningRepository happened;

    CueReconciler(CueRepository cues, MarkMover moves, NoteMover notes, HappeningRepository happened) {
        this.cues = cues;
        this.moves = moves;
        this.notes = notes;
        this.happened = happened;
    }

    /** @return what became of the cues */
    ScriptChangeReport bring(Project project, Script script, ScriptShape shape) {
        List<Cue> before = cues.of(project.id());
        List<ScriptCue> after = script.cues();
        List<String> oldTexts = before.stream().map(Cue::text).toList();
        List<String> newTexts = after.stream().map(ScriptCue::text).toList();
        int[] matched = CueMatch.match(oldTexts, newTexts);
        int[] origins = CueMatch.origins(oldTexts, newTexts, matched);
        Cue[] continued = continued(project.id(), before, after, matched);
        List<String> numbers = numbers(project.id(), shape, before, continued);
        List<Placed> changed = new ArrayList<>();
        List<Placed> added = new ArrayList<>();
        Set<UUID> used = new HashSet<>();
        List<String> rewritten = new ArrayList<>();
        // counting a new text takes a millisecond: a pasted script is counted on all cores
        List<Placed> places = IntStream.range(0, after.size())
                .parallel()
                .mapToObj(i -> {
                    Cue origin = continued[i] != null ? continued[i] : origins[i] >= 0 ? before.get(origins[i]) : null;
                    return placed(continued[i], origin, i, numbers.get(i), after.get(i), project.language());
                })
                .toList();
        for (int i = 0; i < after.size(); i++) {
            Cue old = continued[i];
            Placed placed = places.get(i);
            used.add(placed.id());
            if (old == null) {
                added.add(placed);
            } else if (matched[i] < 0 || !same(old, placed)) {
                changed.add(placed);
                if (!old.text().equals(placed.cue().text())) {
                    rewritten.add(placed.number());
                    happened.add(
                            project.id(),
                            old.id(),
                            Happening.WORDS,
                            old.text(),
                            placed.cue().text());
                }
            }
        }
        List<Cue> gone = before.stream().filter(cue -> !used.contains(cue.id())).toList();
        // as they stand on the words of before
        Map<UUID, Marks> marked = moves.marks(project.id());
        cues.update(changed);
        cues.insert(project.id(), added);
        cues.remove(gone.stream().map(Cue::id).toList());
        List<String> lost = moves.move(marked, before, places, origins);
        notes.move(project.id(), before, places, origins);
        return new ScriptChangeReport(
                after.size() - added.size() - rewritten.size(),
                rewritten,
                added.stream().map(Placed::number).toList(),
                gone.stream()
                        .map(cue -> new ScriptChangeReport.Gone(cue.id(), cue.number(), cue.text()))
                        .toList(),
                lost);
    }

    /**
     * The old cue that each new one continues; one that left earlier comes back with the same words: pasted again, or
     * an undo.
     */
    private Cue[] continued(UUID project, List<Cue> before, List<ScriptCue> after, int[] matched) {
        Cue[] continued = new Cue[after.size()];
        Map<String, List<Cue>> left = null;
        for (int i = 0; i < continued.length; i++) {
            if (matched[i] >= 0) {
                continued[i] = before.get(matched[i]);
                continue;
            }
            if (left == null) {
                left = new HashMap<>();
                for (Cue cue : cues.removed(project)) {
                    left.computeIfAbsent(cue.text(), text -> new ArrayList<>()).add(cue);
                }
            }
            List<Cue> alike = left.getOrDefault(after.get(i).text(), List.of());
            continued[i] = alike.isEmpty() ? null : alike.remove(0);
        }
        return continued;
    }

    /** A cue that comes back after numbers were fixed may have left with one that another cue was given since. */
    private List<String> numbers(UUID project, ScriptShape shape, List<Cue> before, Cue[] continued) {
        if (!shape.frozen()) {
            return IntStream.range(0, continued.length)
                    .mapToObj(shape.numbers()::at)
                    .toList();
        }
        Set<UUID> there = before.stream().map(Cue::id).collect(Collectors.toSet());
        List<String> numbers = FrozenNumbers.distinct(
                Arrays.stream(continued)
                        .map(cue -> cue == null ? null : cue.number())
                        .toList(),
                i -> continued[i] != null && there.contains(continued[i].id()));
        return numbers.contains(null)
                ? new FrozenNumbers(shape.numbers(), cues.usedNumbers(project)).complete(numbers)
                : numbers;
    }

    /**
     * Words and sounds are counted once for each text: counting is what an edit of a long script would spend its time
     * on.
     */
    private static Placed placed(Cue old, Cue origin, int position, String number, ScriptCue cue, String language) {
        UUID id = old == null ? UUID.randomUUID() : old.id();
        Direction direction = origin == null ? Direction.NONE : origin.direction();
        Slot slot = old == null ? null : old.slot();
        String text = cue.text();
        if (old != null && old.text().equals(text) && old.referenceSeconds() > 0) {
            return new Placed(
                    id, position, number, cue, old.words(), old.syllables(), old.referenceSeconds(), direction, slot);
        }
        List<WrittenForm> forms = WrittenForms.in(language).find(text);
        return new Placed(
                id,
                position,
                number,
                cue,
                Words.count(text),
                Syllables.of(text, language, forms),
                ReferenceTime.seconds(text, language, forms),
                direction,
                slot);
    }

    private static boolean same(Cue old, Placed placed) {
        return old.position() == placed.position()
                && old.number().equals(placed.number())
                && old.text().equals(placed.cue().text())
                && old.role().equals(placed.cue().role())
                && old.scene().equals(placed.cue().scene())
                && old.referenceSeconds() == placed.referenceSeconds();
    }
}
