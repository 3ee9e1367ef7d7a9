package org.logophon.app.steps.cast;

import java.util.ArrayList;
import java.util.List;
import org.logophon.app.services.hired.Prices;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectReadings;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.app.services.project.ReadingRepository;
import org.logophon.app.services.project.Role;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.style.Style;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Recipe;
import org.springframework.stereotype.Component;

/** The previews of casting a voice. */
@Component
class CastPreviews {

    private final ReadingRepository readings;
    private final Projects projects;
    private final Prices prices;

    CastPreviews(ReadingRepository readings, Projects projects, Prices prices) {
        this.readings = readings;
        this.projects = projects;
        this.prices = prices;
    }

    CastPreview of(ProjectView view, Role role, Voice voice) {
        ProjectReadings said = readings.of(view.id());
        ProjectView then = projects.ifCast(view, role, voice);
        List<CueView> cues = view.cues().stream()
                .filter(cue -> cue.cue().role().equalsIgnoreCase(role.name()))
                .toList();
        // cues of other roles in which this one says a few words change as well
        List<CueView> others = then.cues().stream()
                .filter(cue -> cue.recipe() != null
                        && !cue.recipe().equals(view.cue(cue.id()).orElseThrow().recipe()))
                .toList();
        int changed =
                (int) others.stream().filter(cue -> cue.keptTake() != null).count();
        List<Recipe> recipes = then.cues().stream()
                .filter(cue ->
                        cue.recipe() != null && ScriptCue.problem(cue.cue().text()) == null)
                .filter(cue -> others.contains(cue) || cue.cue().role().equalsIgnoreCase(role.name()))
                .map(CueView::recipe)
                .toList();
        return new CastPreview(
                role.name(),
                voice.name(),
                changed,
                cues.size(),
                lacks(view, cues, role, voice, said),
                prices.quote(recipes));
    }

    private static List<String> lacks(
            ProjectView view, List<CueView> cues, Role role, Voice voice, ProjectReadings readings) {
        List<String> lacks = new ArrayList<>();
        ResolvedDirection asked = ResolvedDirection.of(view.project().direction(), role.direction());
        boolean pitch = asked.semitones() != 0
                || cues.stream()
                        .map(cue -> cue.cue().direction())
                        .map(Direction::pitchSemitones)
                        .anyMatch(st -> st != null && st != 0);
        if (pitch && !voice.canDo().contains(Ability.PITCH)) {
            lacks.add("A whisper has no pitch, so the pitch dial has no effect.");
        }
        if (asked.rangeFactor() != 1 && !voice.canDo().contains(Ability.RANGE)) {
            lacks.add("A whisper has no melody, so the range dial has no effect.");
        }
        cues.stream()
                .map(cue -> cue.direction().style())
                .filter(style -> !style.isEmpty() && !voice.styles().contains(style))
                .distinct()
                .forEach(style -> lacks.add(
                        Style.named(style).isPresent()
                                ? "It has no style of its own for " + style + ": it is made with pace, pitch and range."
                                : "It doesn’t know the style “" + style + "”: those words are said plainly."));
        if (!voice.canDo().contains(Ability.IPA)) {
            long places = cues.stream()
                    .filter(cue -> readings.said(cue.id(), cue.cue().text(), voice.language()).stream()
                            .anyMatch(said -> said.ipa()))
                    .count();
            if (places > 0) {
                lacks.add(
                        "It can't read IPA: such readings in %s are ignored. Give those words a reading in other words."
                                .formatted(places == 1 ? "1 cue" : places + " cues"));
            }
        }
        String spoken = voice.language().split("-")[0];
        if (!view.project().language().startsWith(spoken)) {
            lacks.add("It speaks " + voice.languageName() + ", and the script is in another language.");
        }
        if (voice.terms().limited()
                && cues.stream()
                        .anyMatch(
                                cue -> cue.cue().text().length() > voice.terms().mostCharacters())) {
            lacks.add("Cues over %,d characters are rendered in pieces and joined."
                    .formatted(voice.terms().mostCharacters()));
        }
        return lacks;
    }
}
