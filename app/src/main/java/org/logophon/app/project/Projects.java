package org.logophon.app.project;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.logophon.app.web.NotFound;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.estimate.Estimate;
import org.logophon.core.estimate.ReferenceTime;
import org.logophon.core.mark.Marks;
import org.logophon.core.mark.PauseDefaults;
import org.logophon.core.mark.Score;
import org.logophon.core.reading.Pronunciation;
import org.logophon.core.render.Narrator;
import org.logophon.core.render.Recipe;
import org.logophon.core.render.Speaker;
import org.logophon.core.render.VoiceParts;
import org.logophon.core.script.ScriptCue;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.stereotype.Service;

/** Puts a project together: what each cue's direction comes to, its recipe, its state, and how long it runs. */
@Service
public class Projects {

    private final ProjectRepository projects;
    private final RoleRepository roles;
    private final CueRepository cues;
    private final CueRenderStatus work;
    private final SpeakingRates rates;
    private final VoiceCatalogue voices;
    private final Narrator narrator;
    private final ReadingRepository readings;
    private final MarkRepository marks;

    Projects(
            ProjectRepository projects,
            RoleRepository roles,
            CueRepository cues,
            CueRenderStatus work,
            SpeakingRates rates,
            VoiceCatalogue voices,
            Narrator narrator,
            ReadingRepository readings,
            MarkRepository marks) {
        this.projects = projects;
        this.roles = roles;
        this.cues = cues;
        this.work = work;
        this.rates = rates;
        this.voices = voices;
        this.narrator = narrator;
        this.readings = readings;
        this.marks = marks;
    }

    /** @throws NotFound with a sentence when there is none */
    public Project require(UUID id) {
        return projects.find(id)
                .orElseThrow(() -> new NotFound("This project doesn't exist any more. The shelf shows those that do."));
    }

    public ProjectView view(UUID id) {
        return view(require(id));
    }

    public ProjectView view(Project project) {
        return view(project, cues.of(project.id()));
    }

    /** @throws NotFound when the project has no such cue */
    public CueView cue(UUID project, UUID cue) {
        Cue found = cues.find(project, cue).orElseThrow(() -> new NotFound("This cue is no longer in the script."));
        return view(require(project), List.of(found)).cues().get(0);
    }

    /** @param found the project's cues, or some of them, as they were just read or saved */
    public ProjectView view(Project project, List<Cue> found) {
        return view(project, found, roles.of(project.id()));
    }

    /** The project as it would be with another voice for a role. */
    public ProjectView ifCast(ProjectView now, Role role, Voice voice) {
        List<Role> cast = now.roles().stream()
                .map(other -> other.name().equals(role.name()) ? other.with(voice.id()) : other)
                .toList();
        return view(now.project(), now.cues().stream().map(CueView::cue).toList(), cast);
    }

    private ProjectView view(Project project, List<Cue> found, List<Role> cast) {
        Map<String, Role> byName = new HashMap<>();
        cast.forEach(role -> byName.put(key(role.name()), role));
        Map<UUID, CueRenderStatus.Status> underWay = work.of(project.id());
        ProjectReadings said = readings.of(project.id());
        Map<UUID, Marks> marked = marks.of(project.id());
        Map<UUID, Long> seeds =
                cast.stream().anyMatch(role -> role.livelyPercent() > 0) ? marks.seeds(project.id()) : Map.of();
        List<CueView> seen = found.stream()
                .map(cue -> {
                    Role role = byName.get(key(cue.role()));
                    Marks own =
                            marked.containsKey(cue.id()) ? marked.get(cue.id()).within(cue.text()) : Marks.NONE;
                    Score score = own == Marks.NONE
                                    && role != null
                                    && role.pauseDefaults().equals(PauseDefaults.NONE)
                                    && role.livelyPercent() == 0
                            ? Score.NONE
                            : new Score(
                                    own.scored(),
                                    role == null ? PauseDefaults.NONE : role.pauseDefaults(),
                                    role == null ? 0 : role.livelyPercent(),
                                    seeds.getOrDefault(cue.id(), 0L));
                    return view(project, cue, role, underWay.get(cue.id()), said, own, score, byName);
                })
                .toList();
        return new ProjectView(project, cast, seen);
    }

    private CueView view(
            Project project,
            Cue cue,
            Role role,
            CueRenderStatus.Status underWay,
            ProjectReadings readings,
            Marks marks,
            Score score,
            Map<String, Role> cast) {
        Voice voice = role == null ? null : voices.find(role.voiceId()).orElse(null);
        ResolvedDirection effective = ResolvedDirection.of(
                project.direction(), role == null ? Direction.NONE : role.direction(), cue.direction());
        Recipe recipe = null;
        String missing = null;
        if (voice != null) {
            Function<Voice, List<Pronunciation>> said =
                    speaking -> readings.said(cue.id(), cue.text(), speaking.language());
            Speaker own = new Speaker(voice, narrator.engineVersion(voice), effective);
            VoiceParts pieces = VoiceParts.of(
                    cue.text(), marks.heard(), own, new CueSpeakers(project, cue, cast, voices, narrator), said);
            recipe = Recipe.of(cue.text(), said.apply(voice), voice, own.engineVersion(), effective)
                    .with(score)
                    .parted(pieces);
            missing = pieces.missing().stream().findFirst().orElse(null);
        }
        String problem = problem(cue, voice, missing, underWay);
        CueState state = state(cue, recipe, problem, underWay);
        boolean measured = cue.keptSeconds() != null && state == CueState.READY;
        double seconds = measured ? cue.keptSeconds() : estimate(project, cue, recipe, voice, effective);
        return new CueView(cue, role, voice, effective, marks, recipe, state, problem, seconds, measured);
    }

    private static String problem(Cue cue, Voice voice, String missing, CueRenderStatus.Status underWay) {
        String unspeakable = ScriptCue.problem(cue.text());
        if (unspeakable != null) {
            return unspeakable;
        }
        if (voice == null) {
            return cue.role() + " has no voice yet. Choose one in the panel beside the score.";
        }
        if (missing != null) {
            return missing;
        }
        return underWay == null ? null : underWay.problem();
    }

    private static CueState state(Cue cue, Recipe recipe, String problem, CueRenderStatus.Status underWay) {
        if (underWay != null && underWay.waiting() && recipe != null) {
            return CueState.RENDERING;
        }
        if (cue.keptTake() != null && recipe != null && recipe.hash().equals(cue.keptRecipe())) {
            return CueState.READY;
        }
        if (problem != null) {
            return CueState.PROBLEM;
        }
        return cue.keptTake() == null ? CueState.NEW : CueState.CHANGED;
    }

    private double estimate(Project project, Cue cue, Recipe recipe, Voice voice, ResolvedDirection effective) {
        if (ScriptCue.problem(cue.text()) != null) {
            return 0;
        }
        boolean asWritten = recipe == null || recipe.said().isEmpty();
        double reference = asWritten && cue.referenceSeconds() > 0
                ? cue.referenceSeconds()
                : ReferenceTime.seconds(
                        asWritten ? cue.text() : recipe.saidText(),
                        voice == null ? project.language() : voice.language());
        return Estimate.seconds(
                cue.text().length(),
                reference,
                voice == null ? null : rates.of(voice.baseId()),
                recipe == null ? effective.paceFactor() : recipe.paceFactor());
    }

    static String key(String role) {
        return role.toLowerCase(Locale.ROOT);
    }
}
