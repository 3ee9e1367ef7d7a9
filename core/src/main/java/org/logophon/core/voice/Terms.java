package org.logophon.core.voice;

import java.math.BigDecimal;
import org.logophon.core.input.InvalidInput;

/**
 * The terms of a voice's use.
 *
 * @param mostCharacters    in one request; 0 for no limit
 * @param pricePerCharacter of what is sent to the voice's service; 0 for a voice that costs nothing
 * @param currency          ISO 4217 code, empty when nothing is charged
 */
public record Terms(int mostCharacters, BigDecimal pricePerCharacter, String currency) {

    public static final Terms FREE = new Terms(0, BigDecimal.ZERO, "");

    public Terms {
        if (mostCharacters < 0 || pricePerCharacter.signum() < 0) {
            throw new InvalidInput("A limit or a price is never under nothing.");
        }
    }

    public boolean free() {
        return pricePerCharacter.signum() == 0;
    }

    public boolean limited() {
        return mostCharacters > 0;
    }
}
