package org.logophon.app.audio;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.core.sound.Sound;
import org.logophon.core.sound.SoundSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Tables {@code sound} and {@code sound_piece}: 16-bit little-endian mono PCM, each sound once. What is hours long is
 * written and read piece by piece.
 */
@Component
public class AudioStore {

    /** Of a piece, but for the last one of a sound. */
    static final int PIECE_BYTES = 1 << 18;

    private static final int PIECE_SAMPLES = PIECE_BYTES / 2;
    /** Pieces that were read last: who plays a sound asks for the same ones again and again. */
    private static final long MOST_CACHED_BYTES = 32L << 20;

    private final JdbcClient jdbc;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final Cache<Place, byte[]> pieces = Caffeine.newBuilder()
            .maximumWeight(MOST_CACHED_BYTES)
            .weigher((Place place, byte[] piece) -> piece.length)
            .build();

    AudioStore(JdbcClient jdbc, TransactionTemplate transaction, Clock clock) {
        this.jdbc = jdbc;
        this.transaction = transaction;
        this.clock = clock;
    }

    private record Place(UUID sound, int position) {}

    /** Stores a sound that is in memory. */
    public StoredSound store(Sound sound) {
        try {
            return store(new Pcm(sound), sound.rate());
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    /**
     * Stores a sound as it comes. A sound that is there already is not stored again.
     *
     * @param pcm  16-bit little-endian mono; half a sample at its end is left out
     * @param rate samples a second
     */
    public StoredSound store(InputStream pcm, int rate) throws IOException {
        UUID id = UUID.randomUUID();
        try {
            return transaction.execute(status -> written(id, pcm, rate));
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
    }

    private StoredSound written(UUID id, InputStream pcm, int rate) {
        jdbc.sql("insert into sound (id, sample_rate, stored_at) values (:id, :rate, :now)")
                .param("id", id)
                .param("rate", rate)
                .param("now", now())
                .update();
        MessageDigest digest = sha256();
        digest.update((rate + "\n").getBytes(StandardCharsets.UTF_8));
        long bytes = 0;
        int position = 0;
        try {
            for (byte[] piece = pcm.readNBytes(PIECE_BYTES); piece.length > 1; piece = pcm.readNBytes(PIECE_BYTES)) {
                byte[] whole = piece.length % 2 == 0 ? piece : Arrays.copyOf(piece, piece.length - 1);
                digest.update(whole);
                bytes += whole.length;
                jdbc.sql("insert into sound_piece (sound_id, position, content) values (:id, :position, :content)")
                        .param("id", id)
                        .param("position", position++)
                        .param("content", whole)
                        .update();
            }
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
        String hash = HexFormat.of().formatHex(digest.digest());
        // two that store the same sound at once come one after the other here
        jdbc.sql("select pg_advisory_xact_lock(hashtextextended(:hash, 0))")
                .param("hash", hash)
                .query((row, at) -> true)
                .single();
        Optional<StoredSound> known = jdbc.sql(
                        "update sound set unused_since = null where hash = :hash returning id, sample_rate, samples")
                .param("hash", hash)
                .query((row, at) -> new StoredSound(
                        row.getObject("id", UUID.class), row.getInt("sample_rate"), row.getLong("samples")))
                .optional();
        if (known.isPresent()) {
            jdbc.sql("delete from sound where id = :id").param("id", id).update();
            return known.get();
        }
        jdbc.sql("update sound set hash = :hash, samples = :samples where id = :id")
                .param("hash", hash)
                .param("samples", bytes / 2)
                .param("id", id)
                .update();
        return new StoredSound(id, rate, bytes / 2);
    }

    /**
     * Takes sounds away that nothing refers to.
     *
     * @return bytes of them
     */
    public long remove(List<UUID> sounds) {
        return sounds.isEmpty()
                ? 0
                : jdbc.sql("with gone as (delete from sound s where s.id in (:sounds) and not ("
                                + SoundUpkeep.REFERRED
                                + ") returning samples) select coalesce(sum(samples * 2), 0) from gone")
                        .param("sounds", sounds)
                        .query(Long.class)
                        .single();
    }

    /** Its samples, read from the database as they are wanted. */
    public SoundSource source(StoredSound sound) {
        return new SoundSource() {
            @Override
            public int rate() {
                return sound.rate();
            }

            @Override
            public long length() {
                return sound.samples();
            }

            @Override
            public void read(long from, long to, BlockReader reader) {
                float[] block = new float[PIECE_SAMPLES];
                for (long at = from; at < to; ) {
                    byte[] piece = piece(sound.id(), (int) (at / PIECE_SAMPLES));
                    int first = (int) (at % PIECE_SAMPLES);
                    int count = (int) Math.min(piece.length / 2 - first, to - at);
                    for (int i = 0; i < count; i++) {
                        int low = 2 * (first + i);
                        block[i] = (short) (piece[low] & 0xff | piece[low + 1] << 8) / 32768f;
                    }
                    reader.block(block, count);
                    at += count;
                }
            }
        };
    }

    private byte[] piece(UUID sound, int position) {
        return pieces.get(
                new Place(sound, position),
                place -> jdbc.sql("select content from sound_piece where sound_id = :sound and position = :position")
                        .param("sound", sound)
                        .param("position", position)
                        .query(byte[].class)
                        .optional()
                        .orElseThrow(() -> new IllegalStateException(
                                "Piece " + position + " of sound " + sound + " isn't in the store.")));
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }

    /** A sound's samples as a stream, turned into 16 bits a piece at a time. */
    private static final class Pcm extends InputStream {

        private final Sound sound;
        private int next;
        private ByteArrayInputStream piece = new ByteArrayInputStream(new byte[0]);

        Pcm(Sound sound) {
            this.sound = sound;
        }

        private boolean more() {
            if (piece.available() == 0 && next < sound.samples().length) {
                int end = Math.min(sound.samples().length, next + PIECE_SAMPLES);
                piece = new ByteArrayInputStream(sound.pcm16(next, end));
                next = end;
            }
            return piece.available() > 0;
        }

        @Override
        public int read() {
            return more() ? piece.read() : -1;
        }

        @Override
        public int read(byte[] into, int offset, int length) {
            return more() ? piece.read(into, offset, length) : -1;
        }
    }
}
