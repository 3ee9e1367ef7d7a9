package org.logophon.app.steps.write.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.direction.MarkService;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.PlaceReading;
import org.logophon.app.services.project.Project;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.app.services.project.RoleRepository;
import org.logophon.app.services.project.ScriptParsing;
import org.logophon.app.services.project.ScriptShape;
import org.logophon.app.services.script.ScriptChangeReport;
import org.logophon.app.services.script.ScriptSaving;
import org.logophon.app.services.script.ScriptStateReader;
import org.logophon.core.direction.mark.DirectionMarks;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.review.proof.FindingKind;
import org.logophon.core.review.proof.Suggestion.Act;
import org.logophon.core.text.reading.BracketedDirections;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;
import org.logophon.core.text.script.HandCuts;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.text.script.SplitMode;
import org.logophon.core.text.script.Splitting;
import org.logophon.core.text.script.TextDiff;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes suggestions: readings into the project's list or to their place, other words and cuts into the script, all at
 * once.
 */
@Service
class SuggestionApplier {

    /** Capitals make these what they are. */
    private static final Set<FindingKind> CAPITALS_COUNT =
            Set.of(FindingKind.ACRONYM, FindingKind.MIXED, FindingKind.UNKNOWN_WORD, FindingKind.ROMAN_NUMERAL);

    /** Of a paragraph that is too long for a cue: as long as those that nobody calls long. */
    private static final Splitting PARTS = new Splitting(SplitMode.SECONDS, ScriptCue.LONG_SECONDS);

    private final Projects projects;
    private final ScriptParsing scripts;
    private final ReadingRepository readings;
    private final RoleRepository roles;
    private final ScriptSaving saving;
    private final ScriptStateReader states;
    private final VoiceCatalogue voices;
    private final MarkService marks;

    SuggestionApplier(
            Projects projects,
            ReadingRepository readings,
            RoleRepository roles,
            ScriptSaving saving,
            ScriptStateReader states,
            VoiceCatalogue voices,
            ScriptParsing scripts,
            MarkService marks) {
        this.marks = marks;
        this.scripts = scripts;
        this.projects = projects;
        this.readings = readings;
        this.roles = roles;
        this.saving = saving;
        this.states = states;
        this.voices = voices;
    }

    /**
     * One suggestion taken.
     *
     * @param from in the cue's text, to {@code to}
     * @param written what stands there: a place that holds other words by now is left alone
     * @param text    of the suggestion
     * @param at      for a cut, where the new cue starts
     */
    record Item(UUID cue, int from, int to, String written, FindingKind kind, Act act, String text, int at) {
        Item {
            Objects.requireNonNull(cue);
            Objects.requireNonNull(written);
            Objects.requireNonNull(kind);
            Objects.requireNonNull(act);
            Objects.requireNonNull(text);
        }
    }

    /** What was done, with the script as it is now. */
    record Done(String sentence, Object state) {}

    /** Source text from one index to another is written anew. */
    private record TextEdit(int start, int end, String text) {}

    @Transactional
    public Done take(UUID id, int version, List<Item> items) {
        ProjectView view = projects.view(id);
        Project project = view.project();
        Script script = scripts.of(project);
        List<TextEdit> edits = new ArrayList<>();
        List<Integer> cuts = new ArrayList<>();
        int kept = 0;
        int marked = 0;
        int stale = 0;
        for (Item item : items) {
            ScriptCue cue = cue(view, script, item);
            if (cue == null
                    || item.from() < 0
                    || item.to() > cue.text().length()
                    || item.to() <= item.from()
                    || !cue.text().substring(item.from(), item.to()).equals(item.written())) {
                stale++;
                continue;
            }
            switch (item.act()) {
                case SAY, LETTERS -> {
                    keep(id, item);
                    kept++;
                }
                case WRITE, REMOVE -> edits.add(edit(project.script(), cue, item));
                case MARK -> {
                    mark(project, view, item);
                    edits.add(edit(project.script(), cue, item));
                }
                case LANGUAGE -> {
                    language(project, view, item);
                    marked++;
                }
                case CUT -> cuts.add(cue.sourceAt(Math.max(item.from(), Math.min(item.to() - 1, item.at()))));
                case SPLIT -> PARTS.starts(cue.text(), project.language()).forEach(at -> cuts.add(cue.sourceAt(at)));
                case CAST -> edits.addAll(cast(id, script, cue, item));
            }
        }
        ScriptChangeReport report = edits.isEmpty() && cuts.isEmpty() ? null : write(project, version, edits, cuts);
        return new Done(sentence(kept, marked, edits.size() + cuts.size(), stale), states.withText(id, report));
    }

    private static ScriptCue cue(ProjectView view, Script script, Item item) {
        for (int i = 0; i < view.cues().size() && i < script.cues().size(); i++) {
            if (view.cues().get(i).id().equals(item.cue())) {
                return script.cues().get(i);
            }
        }
        return null;
    }

    /** A homograph is read by its place; anything else the same way wherever it stands. */
    private void keep(UUID project, Item item) {
        PronunciationKind kind = item.act() == Act.LETTERS ? PronunciationKind.LETTERS : PronunciationKind.WORDS;
        Reading reading = new Reading(
                item.written(),
                kind == PronunciationKind.LETTERS ? "" : item.text(),
                kind,
                null,
                CAPITALS_COUNT.contains(item.kind()));
        if (item.kind() == FindingKind.HOMOGRAPH) {
            readings.put(new PlaceReading(item.cue(), item.from(), reading));
        } else {
            readings.put(project, reading);
        }
    }

    /** The mark goes with the words when the direction is taken out. */
    private void mark(Project project, ProjectView view, Item item) {
        change(
                project,
                view,
                item,
                "directions",
                text -> BracketedDirections.in(text).stream()
                        .filter(direction -> direction.start() == item.from())
                        .flatMap(direction -> DirectionMarks.of(text, direction, project.language()).stream())
                        .findFirst());
    }

    private void language(Project project, ProjectView view, Item item) {
        Instruction language = new Instruction.Language(item.text(), true);
        change(project, view, item, "language", text -> Optional.of(Mark.own(item.from(), item.to(), language)));
    }

    private void change(
            Project project, ProjectView view, Item item, String what, Function<String, Optional<Mark>> asked) {
        List<CueView> cue =
                view.cues().stream().filter(one -> one.id().equals(item.cue())).toList();
        marks.change(
                project.id(),
                cue,
                what,
                (text, own) ->
                        asked.apply(text).map(mark -> own.with(mark, text)).orElse(own));
    }

    private static TextEdit edit(String source, ScriptCue cue, Item item) {
        int start = cue.sourceAt(item.from());
        int end = cue.sourceAt(item.to() - 1) + 1;
        if (item.act() == Act.WRITE) {
            return new TextEdit(start, end, item.text());
        }
        int line = lineAlone(source, start, end);
        if (line >= 0) {
            return new TextEdit(line, Math.min(source.length(), endOfLine(source, end) + 1), "");
        }
        boolean spaceAfter = end < source.length() && source.charAt(end) == ' ';
        boolean spaceBefore = start > 0 && source.charAt(start - 1) == ' ';
        return new TextEdit(spaceBefore && !spaceAfter ? start - 1 : start, spaceAfter ? end + 1 : end, "");
    }

    /** Where the line begins on which nothing else stands; −1 for none. */
    private static int lineAlone(String source, int start, int end) {
        int from = source.lastIndexOf('\n', Math.max(0, start - 1)) + 1;
        int to = endOfLine(source, end);
        boolean alone = source.substring(Math.min(from, start), start).isBlank()
                && source.substring(end, to).isBlank();
        return alone && start > 0 && to < source.length() ? from : -1;
    }

    private static int endOfLine(String source, int from) {
        int end = source.indexOf('\n', from);
        return end < 0 ? source.length() : end;
    }

    /** The paragraph gets a role of its own, named for its language, and the voice; what follows goes on as before. */
    private List<TextEdit> cast(UUID project, Script script, ScriptCue cue, Item item) {
        Voice voice = voices.all().stream()
                .filter(v -> v.name().equals(item.text()))
                .findFirst()
                .orElseThrow(() -> new Refused("There is no voice " + item.text() + "."));
        String role = voice.languageName().split("[ (]")[0];
        int at = script.cues().indexOf(cue);
        List<TextEdit> edits = new ArrayList<>(
                List.of(new TextEdit(cue.start(), cue.sourceAt(0), role.toUpperCase(java.util.Locale.ROOT) + ": ")));
        if (at + 1 < script.cues().size()) {
            ScriptCue next = script.cues().get(at + 1);
            if (next.role().equals(cue.role()) && next.start() == next.sourceAt(0)) {
                edits.add(new TextEdit(
                        next.start(), next.start(), next.role().toUpperCase(java.util.Locale.ROOT) + ": "));
            }
        }
        roles.add(project, role, roles.of(project).size(), voice.id());
        roles.cast(project, role, voice.id());
        return edits;
    }

    private ScriptChangeReport write(Project project, int version, List<TextEdit> edits, List<Integer> cuts) {
        ScriptShape shape = project.shape();
        HandCuts hand = shape.cuts();
        for (int cut : cuts) {
            hand = hand.split(cut);
        }
        StringBuilder text = new StringBuilder(project.script());
        int last = Integer.MAX_VALUE;
        for (TextEdit edit : edits.stream()
                .sorted(Comparator.comparingInt(TextEdit::start).reversed())
                .toList()) {
            if (edit.end() <= last) {
                text.replace(edit.start(), edit.end(), edit.text());
                last = edit.start();
            }
        }
        String now = text.toString();
        if (!hand.isEmpty() && !edits.isEmpty()) {
            hand = hand.moved(TextDiff.of(project.script(), now)::moved);
        }
        return saving.replace(project.id(), now, shape.with(hand), version, "Suggestions accepted");
    }

    private static String sentence(int kept, int marked, int written, int stale) {
        List<String> parts = new ArrayList<>();
        if (kept > 0) {
            parts.add(kept == 1 ? "1 reading kept" : kept + " readings kept");
        }
        if (marked > 0) {
            parts.add(marked == 1 ? "1 mark set" : marked + " marks set");
        }
        if (written > 0) {
            parts.add(written == 1 ? "1 place changed in the script" : written + " places changed in the script");
        }
        if (stale > 0) {
            parts.add(stale + " skipped: the words there have changed");
        }
        return parts.isEmpty() ? "Nothing to accept." : String.join(", ", parts) + ".";
    }
}
