package org.logophon.app.steps.language;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.logophon.app.services.project.Role;
import org.logophon.app.services.project.RoleRepository;
import org.logophon.app.services.voices.VoiceFiguresRepository;
import org.logophon.core.review.translation.NearestVoice;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.stereotype.Component;

/** Who speaks in another language what somebody speaks in the first. */
@Component
class VersionCasting {

    private final RoleRepository roles;
    private final VoiceCatalogue voices;
    private final VoiceFiguresRepository figures;

    VersionCasting(RoleRepository roles, VoiceCatalogue voices, VoiceFiguresRepository figures) {
        this.roles = roles;
        this.voices = voices;
        this.figures = figures;
    }

    /** Roles speak as they did, by the voices that come nearest. */
    void cast(UUID first, UUID id, String language) {
        Map<String, Role> before =
                roles.of(first).stream().collect(Collectors.toMap(role -> key(role.name()), role -> role, (a, b) -> a));
        Set<String> taken = new HashSet<>();
        for (Role role : roles.of(id)) {
            Role as = before.get(key(role.name()));
            if (as == null) {
                continue;
            }
            roles.direct(id, role.name(), as.direction(), role.version());
            roles.rest(id, role.name(), as.pauseDefaults(), as.livelyPercent(), role.version() + 1);
            proposal(as, language, taken).ifPresent(proposed -> {
                taken.add(proposed.voice().id());
                roles.cast(id, role.name(), proposed.voice().id());
            });
        }
    }

    private static String key(String role) {
        return role.toLowerCase(Locale.ROOT);
    }

    private Optional<NearestVoice.Proposal> proposal(Role as, String language, Set<String> taken) {
        return voices.find(as.voiceId())
                .flatMap(voice -> NearestVoice.of(voice, language, voices.all(), figures.all(), taken));
    }

    /**
     * Who would speak a role in the version.
     *
     * @param as       who speaks it in the first language
     * @param now      who speaks it now; null for nobody
     * @param proposed whose figures come nearest
     */
    public record Casting(String role, Voice as, Voice now, NearestVoice.Proposal proposed) {}

    List<Casting> castings(Versions.Pair pair) {
        Map<String, Role> now = roles.of(pair.version().id()).stream()
                .collect(Collectors.toMap(role -> key(role.name()), role -> role, (a, b) -> a));
        Set<String> taken = new HashSet<>();
        List<Casting> castings = new ArrayList<>();
        for (Role role : roles.of(pair.first().id())) {
            Role here = now.get(key(role.name()));
            if (here == null || role.voiceId() == null) {
                continue;
            }
            proposal(role, pair.version().language(), taken).ifPresent(proposed -> {
                taken.add(proposed.voice().id());
                castings.add(new Casting(
                        here.name(),
                        voices.find(role.voiceId()).orElse(null),
                        voices.find(here.voiceId()).orElse(null),
                        proposed));
            });
        }
        return castings;
    }
}
