package org.logophon.app.voices;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.logophon.speech.NativeVoices;
import org.logophon.voice.FixedVoices;
import org.logophon.voice.Voice;
import org.logophon.voice.VoiceCatalogue;
import org.springframework.stereotype.Component;

/** The engines' voices and those of the house. What another node changed is seen within a few seconds. */
@Component
class HouseCatalogue implements VoiceCatalogue {

    private static final Duration FRESH = Duration.ofSeconds(3);

    private final VoiceCatalogue natives = NativeVoices.catalogue();
    private final HouseVoiceRepository house;
    private final Clock clock;
    private volatile Snapshot snapshot;

    HouseCatalogue(HouseVoiceRepository house, Clock clock) {
        this.house = house;
        this.clock = clock;
    }

    private record Snapshot(VoiceCatalogue voices, Instant at) {
    }

    @Override
    public List<Voice> all() {
        return now().all();
    }

    @Override
    public Optional<Voice> find(String id) {
        return id != null && id.startsWith(HouseVoice.PREFIX) ? now().find(id) : natives.find(id);
    }

    /** Reads the house's voices anew at the next look. */
    void changed() {
        snapshot = null;
    }

    private VoiceCatalogue now() {
        Snapshot known = snapshot;
        if (known == null || known.at().plus(FRESH).isBefore(clock.instant())) {
            List<Voice> all = new ArrayList<>(natives.all());
            for (HouseVoice voice : house.all()) {
                natives.find(voice.base()).ifPresent(base -> all.add(base.tuned(voice.id(), voice.name(), voice.description(), voice.tuning())));
            }
            known = new Snapshot(new FixedVoices(all), clock.instant());
            snapshot = known;
        }
        return known.voices();
    }
}
