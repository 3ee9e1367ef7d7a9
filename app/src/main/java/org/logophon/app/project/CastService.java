package org.logophon.app.project;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.web.NotFound;
import org.logophon.app.web.Refused;
import org.logophon.app.web.Stale;
import org.logophon.core.described.FittingVoice;
import org.logophon.core.direction.Direction;
import org.logophon.core.figures.ClearnessTable;
import org.logophon.core.mark.PauseDefaults;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gives roles their voices and says how they speak. Takes stay, whoever made them. */
@Service
public class CastService {

    private final Projects projects;
    private final ProjectRepository table;
    private final RoleRepository roles;
    private final VoiceCatalogue voices;
    private final ClearnessTable clearness;

    CastService(
            Projects projects,
            ProjectRepository table,
            RoleRepository roles,
            VoiceCatalogue voices,
            ClearnessTable clearness) {
        this.projects = projects;
        this.table = table;
        this.roles = roles;
        this.voices = voices;
        this.clearness = clearness;
    }

    /** @param voiceId empty for nobody */
    @Transactional
    public void cast(UUID project, String role, String voiceId) {
        table.hold(project);
        require(project, role);
        if (!voiceId.isEmpty() && voices.find(voiceId).isEmpty()) {
            throw new Refused("There is no voice " + voiceId + ". Choose one of the list.");
        }
        roles.cast(project, role, voiceId.isEmpty() ? null : voiceId);
        table.touch(project);
    }

    /** Gives a role a voice that fits. @throws Refused when no voice speaks the script's language */
    @Transactional
    public Voice castFitting(UUID project, String role) {
        table.hold(project);
        require(project, role);
        Set<String> taken = roles.of(project).stream()
                .filter(other -> other.voiceId() != null && !other.name().equals(role))
                .map(Role::voiceId)
                .collect(Collectors.toSet());
        Voice voice = FittingVoice.of(voices.all(), projects.require(project).language(), role, taken, clearness::of)
                .orElseThrow(() -> new Refused("No free voice speaks this script's language. Cast one of another."));
        roles.cast(project, role, voice.id());
        table.touch(project);
        return voice;
    }

    /** @throws Stale when somebody else directed the role meanwhile */
    @Transactional
    public void direct(UUID project, String role, Direction direction, int version) {
        table.hold(project);
        require(project, role);
        if (!roles.direct(project, role, direction, version)) {
            throw new Stale(Stale.DIRECTION);
        }
        table.touch(project);
    }

    /** How a role rests of itself. @throws Stale when somebody else directed the role meanwhile */
    @Transactional
    public void rest(UUID project, String role, PauseDefaults pauseDefaults, int livelyPercent, int version) {
        table.hold(project);
        require(project, role);
        if (livelyPercent < 0 || livelyPercent > 100) {
            throw new Refused("Liveliness goes from 0 to 100 %, and " + livelyPercent + " is outside.");
        }
        if (!roles.rest(project, role, pauseDefaults, livelyPercent, version)) {
            throw new Stale(Stale.DIRECTION);
        }
        table.touch(project);
    }

    /** Names of a project's roles, in the order in which they came up. */
    public List<String> roles(UUID project) {
        return roles.of(project).stream().map(Role::name).toList();
    }

    /** @throws NotFound with a sentence when the project has no such role */
    public Role require(UUID project, String role) {
        projects.require(project);
        return roles.of(project).stream()
                .filter(r -> r.name().equals(role))
                .findFirst()
                .orElseThrow(() -> new NotFound("This project has no role " + role + "."));
    }
}
