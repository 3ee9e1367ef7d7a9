package org.logophon.app.cast;

import java.util.ArrayList;
import java.util.List;
import org.logophon.app.project.CueView;
import org.logophon.app.project.ProjectReadings;
import org.logophon.app.project.ProjectView;
import org.logophon.app.project.Role;
import org.logophon.direction.Direction;
import org.logophon.direction.Effective;
import org.logophon.voice.Ability;
import org.logophon.voice.Voice;

/**
 * What casting a voice would do, before it is done.
 *
 * @param changed cues that have a take and would want another
 * @param cues    of the role
 * @param lacks   what the role asks for and the voice can't do, with what happens instead
 */
record CastPreview(String role, String voice, int changed, int cues, List<String> lacks) {

    static CastPreview of(ProjectView view, Role role, Voice voice, ProjectReadings readings) {
        List<CueView> cues = view.cues().stream().filter(cue -> cue.cue().role().equalsIgnoreCase(role.name())).toList();
        boolean other = !voice.id().equals(role.voiceId());
        int changed = !other ? 0 : (int) cues.stream().filter(cue -> cue.cue().keptTake() != null).count();
        return new CastPreview(role.name(), voice.name(), changed, cues.size(), lacks(view, cues, role, voice, readings));
    }

    private static List<String> lacks(ProjectView view, List<CueView> cues, Role role, Voice voice, ProjectReadings readings) {
        List<String> lacks = new ArrayList<>();
        Effective asked = Effective.of(view.project().direction(), role.direction());
        boolean pitch = asked.semitones() != 0 || cues.stream().map(cue -> cue.cue().direction()).map(Direction::pitchSemitones).anyMatch(st -> st != null && st != 0);
        if (pitch && !voice.canDo().contains(Ability.PITCH)) {
            lacks.add("A whisper has no pitch: the change of pitch that is asked for does nothing.");
        }
        if (asked.rangeFactor() != 1 && !voice.canDo().contains(Ability.RANGE)) {
            lacks.add("A whisper has no melody: the range that is asked for does nothing.");
        }
        if (!voice.canDo().contains(Ability.IPA)) {
            long places = cues.stream().filter(cue -> readings.said(cue.id(), cue.cue().text(), voice.language()).stream().anyMatch(said -> said.ipa())).count();
            if (places > 0) {
                lacks.add("It knows no IPA: words read by IPA in %s are said as they are written. Give them a reading in other words.".formatted(places == 1 ? "1 cue" : places + " cues"));
            }
        }
        String spoken = voice.language().split("-")[0];
        if (!view.project().language().startsWith(spoken)) {
            lacks.add("It speaks " + voice.languageName() + ", and the script is in another language.");
        }
        if (voice.terms().limited() && cues.stream().anyMatch(cue -> cue.cue().text().length() > voice.terms().mostCharacters())) {
            lacks.add("Cues over %,d characters are made in pieces and joined.".formatted(voice.terms().mostCharacters()));
        }
        return lacks;
    }

    /** As a sentence. */
    public String sentence() {
        String what = changed == 0 ? "No take becomes old." : (changed == 1 ? "1 cue becomes changed; its take stays." : changed + " cues become changed; their takes stay.");
        return voice + " speaks " + (cues == 1 ? "1 cue" : cues + " cues") + " of " + role + ". " + what;
    }
}
