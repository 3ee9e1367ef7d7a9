package org.logophon.cli.input;

import java.util.List;
import java.util.Map;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.hired.HiredService;

/** The service of hired voices that the environment names, asked once. */
public final class HiredVoices {

    public static final String ADDRESS = "LOGOPHON_HIRED_ADDRESS";
    public static final String KEY = "LOGOPHON_HIRED_KEY";

    private final HiredService service;
    private List<Voice> voices;

    private HiredVoices(HiredService service) {
        this.service = service;
    }

    /** @throws InputUnusable with a sentence when the address is none */
    public static HiredVoices of(Map<String, String> environment) {
        String address = environment.getOrDefault(ADDRESS, "");
        if (address.isBlank()) {
            return new HiredVoices(null);
        }
        try {
            return new HiredVoices(new HiredService(address.strip(), environment.getOrDefault(KEY, "")));
        } catch (IllegalArgumentException bad) {
            throw new InputUnusable(ADDRESS + ": " + bad.getMessage());
        }
    }

    /** Null when the environment names none. */
    public HiredService service() {
        return service;
    }

    /** @throws InputUnusable with a sentence when the service can't be asked */
    public HiredService.Allowance allowance() {
        try {
            return service.allowance();
        } catch (SpeechFailed gone) {
            throw new InputUnusable(gone.getMessage());
        }
    }

    /** @throws InputUnusable with a sentence when the service can't be asked */
    public List<Voice> all() {
        if (voices == null) {
            try {
                voices = service == null ? List.of() : service.voices();
            } catch (SpeechFailed gone) {
                throw new InputUnusable(gone.getMessage());
            }
        }
        return voices;
    }
}
