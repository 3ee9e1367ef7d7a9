package org.logophon.app.services.project;

import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.failure.Stale;
import org.logophon.app.services.project.review.Happening;
import org.logophon.app.services.project.review.HappeningRepository;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.described.FittingVoice;
import org.logophon.core.voice.figures.ClearnessTable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The service that casts roles and sets their direction. Takes stay, whoever made them. */
@Service
public class CastService {

    private final Projects projects;
    private final ProjectRepository table;
    private final RoleRepository roles;
    private final VoiceCatalogue voices;
    private final ClearnessTable clearness;
    private final HappeningRepository happened;

    CastService(
            Projects projects,
            ProjectRepository table,
            RoleRepository roles,
            VoiceCatalogue voices,
            ClearnessTable clearness,
            HappeningRepository happened) {
        this.projects = projects;
        this.table = table;
        this.roles = roles;
        this.voices = voices;
        this.clearness = clearness;
        this.happened = happened;
    }

    /** @param voiceId empty for nobody */
    @Transactional
    public void cast(UUID project, String role, String voiceId) {
        table.hold(project);
        if (!voiceId.isEmpty() && voices.find(voiceId).isEmpty()) {
            throw new Refused("There is no voice " + voiceId + ". Choose one of the list.");
        }
        recast(project, require(project, role), voiceId.isEmpty() ? null : voiceId);
        table.touch(project);
    }

    /** Gives a role a voice that fits. @throws Refused when no voice speaks the script's language */
    @Transactional
    public Voice castFitting(UUID project, String role) {
        table.hold(project);
        Role cast = require(project, role);
        Set<String> taken = roles.of(project).stream()
                .filter(other -> other.voiceId() != null && !other.name().equals(role))
                .map(Role::voiceId)
                .collect(Collectors.toSet());
        Voice voice = FittingVoice.of(voices.all(), projects.require(project).language(), role, taken, clearness::of)
                .orElseThrow(() -> new Refused("No free voice speaks this script's language. Cast one of another."));
        recast(project, cast, voice.id());
        table.touch(project);
        return voice;
    }

    private void recast(UUID project, Role role, String voiceId) {
        roles.cast(project, role.name(), voiceId);
        if (!Objects.equals(role.voiceId(), voiceId)) {
            happened.add(project, null, Happening.RECAST, told(role, role.voiceId()), told(role, voiceId));
        }
    }

    private String told(Role role, String voiceId) {
        String voice = voiceId == null
                ? "nobody"
                : voices.find(voiceId).map(Voice::name).orElse(voiceId);
        return role.name() + ": " + voice;
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
