package org.logophon.app.services.project;

import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.take.TakeOrigin.VoiceThen;
import org.logophon.core.voice.take.TakenDirection;

/**
 * The voice and direction of a cue from all levels together: its project's, its role's and its own; or those of a take
 * that it was made like, and its own.
 *
 * @param voice null when nobody does
 */
record CueLevels(Voice voice, ResolvedDirection direction, PauseDefaults pauses, int livelyPercent) {

    static CueLevels of(Project project, Role role, Cue cue, VoiceCatalogue voices) {
        TakenDirection taken = cue.taken();
        if (taken != null && taken.recorded()) {
            Voice voice = RecordedVoice.of(taken.voice().id())
                    .flatMap(said -> said.asVoice(voices::find))
                    .orElse(null);
            return recorded(project, role, cue, voice);
        }
        if (taken != null) {
            return new CueLevels(
                    then(taken.voice(), voices),
                    ResolvedDirection.of(taken.project(), taken.ofRole(), cue.direction()),
                    taken.pauses(),
                    taken.livelyPercent());
        }
        return new CueLevels(
                role == null ? null : voices.find(role.voiceId()).orElse(null),
                ResolvedDirection.of(
                        project.direction(), role == null ? Direction.NONE : role.direction(), cue.direction()),
                role == null ? PauseDefaults.NONE : role.pauseDefaults(),
                role == null ? 0 : role.livelyPercent());
    }

    /**
     * What a script or a role says of a voice's pace and pitch is no matter of a recording; its loudness and its rest
     * are.
     */
    private static CueLevels recorded(Project project, Role role, Cue cue, Voice voice) {
        ResolvedDirection all = ResolvedDirection.of(
                project.direction(), role == null ? Direction.NONE : role.direction(), cue.direction());
        ResolvedDirection own = ResolvedDirection.of(cue.direction());
        return new CueLevels(
                voice,
                new ResolvedDirection(
                        own.paceFactor(),
                        own.semitones(),
                        own.rangeFactor(),
                        all.loudnessDb(),
                        all.pauseMillis(),
                        own.effect(),
                        own.effectPercent(),
                        own.style(),
                        own.stylePercent(),
                        own.phrasingPercent()),
                PauseDefaults.NONE,
                0);
    }

    /** As it was tuned then; a house voice that is gone is made of its base again. Null when that is gone, too. */
    private static Voice then(VoiceThen then, VoiceCatalogue voices) {
        Voice now = voices.find(then.id()).orElse(null);
        if (now != null && (then.tuning() == null || then.tuning().equals(now.tuning()))) {
            return now;
        }
        String name = then.name() == null ? then.id() : then.name();
        return then.baseId() == null || then.tuning() == null
                ? now
                : voices.find(then.baseId())
                        .map(base -> base.tuned(then.id(), name, "", then.tuning()))
                        .orElse(now);
    }
}
