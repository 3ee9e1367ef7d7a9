package org.logophon.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.logophon.app.speech.MadeUpSpeech;
import org.logophon.core.voice.render.SpeechEngine;
import org.logophon.speech.hired.HiredService;
import org.logophon.standin.StandIn;
import org.logophon.standin.Temper;

/** A stand-in with an account of its own, for as long as the tests run. */
final class HiredStandIn {

    static final String KEY = "a-key-that-nobody-sees";

    private final StandIn standIn;

    HiredStandIn(Temper temper) {
        this(0, temper, newFolder(), new MadeUpSpeech());
        Runtime.getRuntime().addShutdownHook(new Thread(this::close));
    }

    /** @param port 0 for any. @param folder with its accounts */
    HiredStandIn(int port, Temper temper, Path folder) {
        this(port, temper, folder, null);
    }

    private HiredStandIn(int port, Temper temper, Path folder, SpeechEngine engine) {
        try {
            standIn = new StandIn(port, KEY, temper, folder, Clock.systemUTC(), engine);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Path newFolder() {
        try {
            return Files.createTempDirectory("logophon-standin");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** From now on. */
    void become(Temper temper) {
        standIn.become(temper);
    }

    void close() {
        standIn.close();
    }

    String address() {
        return standIn.address();
    }

    /** Characters that it has charged, by its own account. */
    long used() {
        return new HiredService(address(), KEY).allowance().used();
    }
}
