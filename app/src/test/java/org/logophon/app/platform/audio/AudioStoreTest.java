package org.logophon.app.platform.audio;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.logophon.app.SharedApplication;
import org.logophon.core.signal.sound.Sound;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

class AudioStoreTest extends SharedApplication {

    @Autowired
    private AudioStore store;

    @Autowired
    private JdbcTemplate jdbc;

    private static Sound noise(long seed, int samples) {
        Random random = new Random(seed);
        float[] values = new float[samples];
        for (int i = 0; i < samples; i++) {
            // what 16 bits hold exactly
            values[i] = (random.nextInt(65_536) - 32_768) / 32_768f;
        }
        return new Sound(values, 22_050);
    }

    private int pieces(UUID sound) {
        return jdbc.queryForObject("select count(*) from sound_piece where sound_id = ?", Integer.class, sound);
    }

    @Test
    void whatGoesInComesOutAcrossThePieces() {
        int piece = AudioStore.PIECE_BYTES / 2;
        for (int samples : new int[] {1, piece - 1, piece, piece + 1, 3 * piece + 5}) {
            Sound sound = noise(samples, samples);
            StoredSound stored = store.store(sound);
            assertThat(stored.samples()).isEqualTo(samples);
            assertThat(pieces(stored.id())).isEqualTo((samples + piece - 1) / piece);
            assertThat(store.source(stored).inMemory().samples()).isEqualTo(sound.samples());
            float[] part = new float[1];
            store.source(stored).read(samples - 1, samples, (block, count) -> part[0] = block[0]);
            assertThat(part[0]).isEqualTo(sound.samples()[samples - 1]);
        }
    }

    @Test
    void theSameSoundIsStoredOnceAlsoByManyAtOnce() throws Exception {
        Sound sound = noise(UUID.randomUUID().hashCode(), 200_000);
        ExecutorService many = Executors.newFixedThreadPool(6);
        try {
            var stored = IntStream.range(0, 6)
                    .mapToObj(i -> many.submit(() -> store.store(sound)))
                    .toList();
            UUID first = stored.get(0).get().id();
            for (Future<StoredSound> other : stored) {
                assertThat(other.get().id()).isEqualTo(first);
            }
            assertThat(pieces(first)).isEqualTo(2);
        } finally {
            many.shutdownNow();
        }
        assertThat(store.store(new Sound(sound.samples(), 16_000)).id())
                .as("at another rate it is another sound")
                .isNotEqualTo(store.store(sound).id());
    }

    /** 40 MB that are made as they are read: nothing could hold them twice unseen. */
    @Test
    void aStreamIsNeverHeldWhole() throws IOException {
        long samples = 20_000_000;
        InputStream endless = new InputStream() {
            private long at;

            @Override
            public int read() {
                return at++ < 2 * samples ? (int) (at * 31 & 0xff) : -1;
            }

            @Override
            public int read(byte[] into, int offset, int length) {
                int count = (int) Math.min(length, 2 * samples - at);
                for (int i = 0; i < count; i++) {
                    into[offset + i] = (byte) ((at + i) * 31);
                }
                at += count;
                return count == 0 ? -1 : count;
            }
        };
        StoredSound stored = store.store(endless, 48_000);
        assertThat(stored.samples()).isEqualTo(samples);
        assertThat(stored.length().samples()).isEqualTo(samples);
    }

    /** Others store sounds meanwhile: in some try none does. */
    @Test
    void aStreamThatBreaksLeavesNothing() {
        int fewest = Integer.MAX_VALUE;
        for (int i = 0; i < 10 && fewest > 0; i++) {
            int before = jdbc.queryForObject("select count(*) from sound", Integer.class);
            breakOff();
            fewest = Math.min(fewest, jdbc.queryForObject("select count(*) from sound", Integer.class) - before);
        }
        assertThat(fewest).isZero();
    }

    private void breakOff() {
        InputStream broken = new InputStream() {
            private final InputStream start = new ByteArrayInputStream(new byte[AudioStore.PIECE_BYTES + 7]);

            @Override
            public int read() throws IOException {
                int next = start.read();
                if (next < 0) {
                    throw new IOException("the line went dead");
                }
                return next;
            }
        };
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> store.store(broken, 48_000))
                .isInstanceOf(IOException.class)
                .hasMessage("the line went dead");
    }

    @Test
    void halfASampleAtTheEndIsLeftOut() throws IOException {
        StoredSound stored = store.store(new ByteArrayInputStream(new byte[] {1, 2, 3}), 8_000);
        assertThat(stored.samples()).isEqualTo(1);
    }
}
