package org.logophon.app.services.project.bed;

import java.util.UUID;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.core.time.bed.MadeSounds;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** The built-in sounds, put into the store once. */
@Component
class ShippedSounds {

    private static final String LICENCE = "made by Logophon’s own code; free for any use";

    private final OwnSoundRepository sounds;
    private final AudioStore audio;
    private final TransactionTemplate transaction;
    private final JdbcClient jdbc;

    ShippedSounds(OwnSoundRepository sounds, AudioStore audio, TransactionTemplate transaction, JdbcClient jdbc) {
        this.sounds = sounds;
        this.audio = audio;
        this.transaction = transaction;
        this.jdbc = jdbc;
    }

    @EventListener(ApplicationStartedEvent.class)
    void ship() {
        MadeSounds.ALL.forEach(made -> transaction.executeWithoutResult(status -> ship(made)));
    }

    private void ship(MadeSounds.BuiltInSound made) {
        // two servers that start at once come one after the other here
        jdbc.sql("select pg_advisory_xact_lock(hashtextextended('shipped sounds', 0))")
                .query((row, at) -> true)
                .single();
        if (!sounds.ships(made.name())) {
            StoredSound stored = audio.store(made.sound().get());
            sounds.add(
                    new OwnSound(UUID.randomUUID(), null, null, made.name(), LICENCE, stored, 0, stored.samples(), 0));
        }
    }
}
