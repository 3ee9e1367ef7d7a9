package org.logophon.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.time.Clock;
import org.logophon.speech.hired.HiredService;
import org.logophon.standin.StandIn;
import org.logophon.standin.Temper;

/** A stand-in with an account of its own, for as long as the tests run. */
final class HiredStandIn {

    static final String KEY = "a-key-that-nobody-sees";

    private final StandIn standIn;

    HiredStandIn(Temper temper) {
        try {
            standIn = new StandIn(0, KEY, temper, Files.createTempDirectory("logophon-standin"), Clock.systemUTC());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Runtime.getRuntime().addShutdownHook(new Thread(standIn::close));
    }

    String address() {
        return standIn.address();
    }

    /** Characters that it has charged, by its own account. */
    long used() {
        return new HiredService(address(), KEY).allowance().used();
    }
}
