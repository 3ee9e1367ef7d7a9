package org.logophon.app.services.voices;

import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.people.Visits;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechFailed;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** The service that creates, changes and removes house voices. */
@Service
public class HouseVoices {

    private static final Logger LOG = LoggerFactory.getLogger(HouseVoices.class);

    private final HouseVoiceRepository table;
    private final HouseCatalogue catalogue;
    private final VoiceMeasuring measuring;
    private final Visits visits;

    HouseVoices(HouseVoiceRepository table, HouseCatalogue catalogue, VoiceMeasuring measuring, Visits visits) {
        this.table = table;
        this.catalogue = catalogue;
        this.measuring = measuring;
        this.visits = visits;
    }

    /** @param base id of an engine's voice or of another house voice, whose tuning is then left behind */
    public Voice make(String name, String description, String base, Tuning tuning) {
        return save(HouseVoice.PREFIX + UUID.randomUUID(), name, description, base, tuning);
    }

    /** Cues that it speaks become changed; their takes stay. */
    public Voice change(String id, String name, String description, Tuning tuning) {
        Voice voice = require(id);
        return save(id, name, description, voice.baseId(), tuning);
    }

    private Voice save(String id, String name, String description, String base, Tuning tuning) {
        String called = name.strip();
        if (called.isEmpty()
                || called.length() > HouseVoice.LONGEST_NAME
                || called.chars().anyMatch(Character::isISOControl)) {
            throw new Refused("A house voice has a name of 1 to %d characters.".formatted(HouseVoice.LONGEST_NAME));
        }
        if (description.length() > HouseVoice.LONGEST_DESCRIPTION) {
            throw new Refused("A description has at most %d characters.".formatted(HouseVoice.LONGEST_DESCRIPTION));
        }
        Voice of = catalogue.find(base).orElseThrow(() -> new NotFound("There is no voice " + base + "."));
        if (catalogue.all().stream()
                .anyMatch(other -> !other.id().equals(id) && other.name().equalsIgnoreCase(called))) {
            throw new Refused("Another voice is called " + called + ". Choose a name of its own.");
        }
        table.save(
                visits.workspace(),
                new HouseVoice(id, called, description.strip().replace('\0', ' '), of.baseId(), tuning));
        catalogue.changed();
        Voice made = require(id);
        try {
            measuring.measure(made);
        } catch (SpeechFailed mute) {
            LOG.warn("The house voice {} could not be measured, and has no figures: {}", made.id(), mute.getMessage());
        }
        return made;
    }

    /** @throws Refused while a role is cast with it */
    public void remove(String id) {
        Voice voice = require(id);
        List<String> roles = table.speaks(id);
        if (!roles.isEmpty()) {
            throw new Refused(
                    voice.name() + " speaks " + String.join(", ", roles) + ". Cast another voice there first.");
        }
        table.remove(id);
        catalogue.changed();
    }

    private Voice require(String id) {
        return catalogue
                .find(id)
                .filter(Voice::ofTheHouse)
                .orElseThrow(() -> new NotFound("There is no house voice " + id + "."));
    }
}
