package org.logophon.app.services.voices;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.logophon.app.platform.node.DatabaseChange;
import org.logophon.app.platform.people.Visit;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.services.hired.HiredVoiceList;
import org.logophon.core.voice.FixedVoices;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.speech.NativeVoices;
import org.logophon.speech.own.OwnEnginesFile;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The engines' voices, those of the user's own engines, those of the house and the hired ones. What another node
 * changed is told, and looked for now and then all the same.
 */
@Component
class HouseCatalogue implements VoiceCatalogue {

    private static final Duration FRESH = Duration.ofSeconds(3);

    private final OwnEnginesFile own;
    private volatile VoiceCatalogue here;
    private final HouseVoiceRepository house;
    private final HiredVoiceList hired;
    private final Visits visits;
    private final Clock clock;
    private volatile Loaded loaded;
    private volatile boolean stale;

    HouseCatalogue(OwnEnginesFile own, HouseVoiceRepository house, HiredVoiceList hired, Visits visits, Clock clock) {
        this.own = own;
        this.here = engines(own);
        this.house = house;
        this.hired = hired;
        this.visits = visits;
        this.clock = clock;
    }

    /** @param owners workspaces of the house's own voices @param version of the list of voices */
    private record Loaded(VoiceCatalogue voices, Map<String, UUID> owners, int hired, Instant at, long version) {}

    @Override
    public List<Voice> all() {
        Loaded now = loaded();
        return now.voices().all().stream()
                .filter(voice -> here(voice, now.owners()))
                .toList();
    }

    @Override
    public Optional<Voice> find(String id) {
        Optional<Voice> found = here.find(id);
        if (found.isPresent() || id == null) {
            return found;
        }
        Loaded now = loaded();
        return now.voices().find(id).filter(voice -> here(voice, now.owners()));
    }

    /** A house voice is there for its own workspace; jobs, and who came by a link, hear what the project has. */
    private boolean here(Voice voice, Map<String, UUID> owners) {
        UUID owner = owners.get(voice.id());
        return owner == null
                || visits.now().map(Visit::workspace).map(owner::equals).orElse(true);
    }

    @Override
    public long version() {
        return loaded().version();
    }

    private static VoiceCatalogue engines(OwnEnginesFile own) {
        return new FixedVoices(Stream.concat(NativeVoices.catalogue().all().stream(), own.voices().stream())
                .toList());
    }

    /** Reads the engines' voices and the house's anew at the next look. */
    void changed() {
        here = engines(own);
        stale = true;
    }

    /** Another server made or changed a voice of the house. */
    @EventListener
    void told(DatabaseChange told) {
        if (told.may(DatabaseChange.HOUSE)) {
            stale = true;
        }
    }

    private synchronized Loaded loaded() {
        Loaded known = loaded;
        int hiredChanges = hired.changes();
        if (known != null
                && !stale
                && known.hired() == hiredChanges
                && known.at().plus(FRESH).isAfter(clock.instant())) {
            return known;
        }
        stale = false;
        List<Voice> all = new ArrayList<>(here.all());
        all.addAll(hired.all());
        VoiceCatalogue engines = new FixedVoices(all);
        Map<String, UUID> owners = new HashMap<>();
        for (HouseVoiceRepository.Owned owned : house.all()) {
            HouseVoice voice = owned.voice();
            owners.put(voice.id(), owned.workspace());
            engines.find(voice.base())
                    .ifPresent(
                            base -> all.add(base.tuned(voice.id(), voice.name(), voice.description(), voice.tuning())));
        }
        boolean same = known != null && known.voices().all().equals(all);
        loaded = new Loaded(
                new FixedVoices(all),
                Map.copyOf(owners),
                hiredChanges,
                clock.instant(),
                known == null ? 0 : same ? known.version() : known.version() + 1);
        return loaded;
    }
}
