package org.logophon.app.services.project;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.logophon.app.services.project.ProjectContent.Around;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.mark.Score;
import org.logophon.core.text.estimate.ReferenceTime;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.reading.SaidByRule;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.render.CueRecipe;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.Speaker;
import org.logophon.core.voice.render.SpokenSounds;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Works out what each cue's direction comes to and its recipe. The last projects stay in memory, each under a stamp of
 * the versions that it was made at: while nothing that recipes follow from has changed, nothing is read again.
 */
@Component
class ProjectContents {

    private static final long MOST_BYTES = 48L << 20;

    private final RoleRepository roles;
    private final CueRepository cues;
    private final VoiceCatalogue voices;
    private final Narrator narrator;
    private final SpokenSounds sounds;
    private final ReadingRepository readings;
    private final MarkRepository marks;
    private final SceneGapRepository gaps;
    private final Cache<UUID, ProjectContent> kept = Caffeine.newBuilder()
            .maximumWeight(MOST_BYTES)
            .weigher((UUID project, ProjectContent content) -> content.weight())
            .build();

    ProjectContents(
            RoleRepository roles,
            CueRepository cues,
            VoiceCatalogue voices,
            Narrator narrator,
            SpokenSounds sounds,
            ReadingRepository readings,
            MarkRepository marks,
            SceneGapRepository gaps) {
        this.roles = roles;
        this.cues = cues;
        this.voices = voices;
        this.narrator = narrator;
        this.sounds = sounds;
        this.readings = readings;
        this.marks = marks;
        this.gaps = gaps;
    }

    /** Which state a project's content is in: another one whenever a recipe may be. */
    String stamp(Project project) {
        return project.contentVersion() + " " + project.houseVersion() + " " + voices.version();
    }

    ProjectContent of(Project project) {
        String stamp = stamp(project);
        ProjectContent known = kept.getIfPresent(project.id());
        if (known != null && known.stamp().equals(stamp)) {
            return known;
        }
        ProjectContent made = workedOut(project, cues.of(project.id()), around(project), stamp);
        // what a transaction has changed may never come to be
        if (!TransactionSynchronizationManager.isActualTransactionActive()) {
            kept.put(project.id(), made);
        }
        return made;
    }

    /** One cue, without working out the others. */
    Optional<CueContent> ofCue(Project project, UUID cue) {
        ProjectContent known = kept.getIfPresent(project.id());
        if (known != null && known.stamp().equals(stamp(project))) {
            return known.cues().stream()
                    .filter(content -> content.cue().id().equals(cue))
                    .findFirst();
        }
        return cues.find(project.id(), cue).map(found -> {
            List<Role> cast = roles.of(project.id());
            Around around = new Around(cast, readings.of(project.id(), cue), marks.ofCue(cue), marks.seedOf(cue));
            return workedOut(project, List.of(found), around, "").cues().get(0);
        });
    }

    /** As it would be with another cast. */
    ProjectContent with(Project project, List<Role> cast) {
        Around now = around(project);
        return workedOut(
                project, cues.of(project.id()), new Around(cast, now.readings(), now.marks(), now.seeds()), "");
    }

    private Around around(Project project) {
        List<Role> cast = roles.of(project.id());
        return new Around(cast, readings.of(project.id()), marks.of(project.id()), marks.seeds(project.id()));
    }

    private ProjectContent workedOut(Project project, List<Cue> found, Around around, String stamp) {
        Map<String, Role> cast = new HashMap<>();
        around.roles().forEach(role -> cast.put(Projects.key(role.name()), role));
        return new ProjectContent(
                stamp,
                around.roles(),
                found.stream().map(cue -> content(project, cue, cast, around)).toList(),
                stamp.isEmpty() && found.size() == 1 ? Map.of() : gaps.of(project.id()));
    }

    private CueContent content(Project project, Cue cue, Map<String, Role> cast, Around around) {
        Role role = cast.get(Projects.key(cue.role()));
        CueLevels levels = CueLevels.of(project, role, cue, voices);
        Voice voice = levels.voice();
        ResolvedDirection direction = levels.direction();
        Marks own = around.marks().containsKey(cue.id())
                ? around.marks().get(cue.id()).within(cue.text())
                : Marks.NONE;
        String unspeakable = ScriptCue.problem(cue.text());
        if (voice == null) {
            String problem = unspeakable != null ? unspeakable : cue.role() + " has no voice yet. Choose one on Cast.";
            return new CueContent(
                    cue, role, null, direction, own, null, null, problem, reference(project, cue, null, unspeakable));
        }
        // what stands in a script to be read otherwise, or by somebody else, was said as it was said
        boolean recorded = voice.engine().equals(RecordedVoice.ENGINE);
        boolean recast =
                RecordedVoice.of(voice.id()).filter(RecordedVoice::recast).isPresent();
        Function<Voice, List<Pronunciation>> said = speaking ->
                recorded && !recast ? List.of() : around.readings().said(cue.id(), cue.text(), speaking.language());
        CueRecipe made = CueRecipe.of(
                cue.text(),
                recorded ? List.of() : own.heard(),
                new Speaker(voice, narrator.engineVersion(voice), direction),
                new CueSpeakers(project, cue, cast, voices, narrator),
                said,
                sounds,
                score(cue, levels, own, around.seeds()));
        Recipe recipe = made.recipe();
        String problem = unspeakable != null
                ? unspeakable
                : made.missing().stream().findFirst().orElse(null);
        return new CueContent(
                cue,
                role,
                voice,
                direction,
                own,
                recipe,
                recipe.hash(),
                problem,
                reference(project, cue, recipe, unspeakable));
    }

    private static Score score(Cue cue, CueLevels levels, Marks own, Map<UUID, Long> seeds) {
        boolean plain = own == Marks.NONE && levels.pauses().equals(PauseDefaults.NONE) && levels.livelyPercent() == 0;
        return plain
                ? Score.NONE
                : new Score(
                        own.scored(cue.text()),
                        levels.pauses(),
                        levels.livelyPercent(),
                        seeds.getOrDefault(cue.id(), 0L));
    }

    private static double reference(Project project, Cue cue, Recipe recipe, String unspeakable) {
        if (unspeakable != null && !ScriptCue.tooLong(cue.text())) {
            return 0;
        }
        // what rules say of written forms was counted with the text
        boolean asWritten = recipe == null
                || recipe.said().isEmpty()
                || recipe.said().equals(SaidByRule.of(cue.text(), recipe.voice().language()));
        return asWritten && cue.referenceSeconds() > 0
                ? cue.referenceSeconds()
                : ReferenceTime.seconds(
                        asWritten ? cue.text() : recipe.saidText(),
                        recipe == null ? project.language() : recipe.voice().language());
    }
}
