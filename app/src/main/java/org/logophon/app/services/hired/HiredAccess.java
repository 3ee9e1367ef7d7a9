package org.logophon.app.services.hired;

import java.util.Optional;
import org.logophon.core.input.InvalidInput;
import org.logophon.speech.hired.HiredService;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The service of hired voices that the settings name, if they name one. */
@Component
public class HiredAccess {

    private final HiredService service;

    /** @throws InvalidInput with a sentence when the address is none */
    HiredAccess(@Value("${logophon.hired-address}") String address, @Value("${logophon.hired-key}") String key) {
        try {
            this.service = address.isBlank() ? null : new HiredService(address.strip(), key.strip());
        } catch (IllegalArgumentException bad) {
            throw new InvalidInput("LOGOPHON_HIRED_ADDRESS: " + bad.getMessage(), bad);
        }
    }

    public Optional<HiredService> service() {
        return Optional.ofNullable(service);
    }
}
