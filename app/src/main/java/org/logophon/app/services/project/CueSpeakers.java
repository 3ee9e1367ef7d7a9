package org.logophon.app.services.project;

import java.util.Map;
import java.util.Optional;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.render.Narrator;
import org.logophon.core.voice.render.Speaker;
import org.logophon.core.voice.render.Speakers;

/**
 * The speakers inside a cue: the project's roles with their direction; a voice by its own name where no role is called
 * so.
 *
 * @param cast by {@linkplain Projects#key name}
 */
record CueSpeakers(Project project, Cue cue, Map<String, Role> cast, VoiceCatalogue voices, Narrator narrator)
        implements Speakers {

    @Override
    public Optional<Speaker> ofRole(String name) {
        Role role = cast.get(Projects.key(name));
        Optional<Voice> voice = role == null ? voices.find(name) : voices.find(role.voiceId());
        return voice.map(found -> new Speaker(
                found,
                narrator.engineVersion(found),
                ResolvedDirection.of(
                        project.direction(), role == null ? Direction.NONE : role.direction(), cue.direction())));
    }

    @Override
    public Optional<Speaker> inLanguage(String tag, Speaker instead) {
        return voices.inLanguage(tag, instead.voice())
                .map(found -> new Speaker(found, narrator.engineVersion(found), instead.direction()));
    }
}
