package org.logophon.app.platform.audio;

import static org.logophon.app.platform.table.Columns.time;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.core.signal.sound.Sound;
import org.logophon.core.signal.sound.SoundSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Tables {@code sound} and {@code sound_piece}: little-endian mono PCM of 16 or 24 bits, each sound once. What is hours
 * long is written and read piece by piece.
 */
@Component
public class AudioStore {

    /** Of a piece, but for the last one of a sound. */
    static final int PIECE_BYTES = 1 << 18;

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

    /** Stores a sound that is in memory, in 16 bits: what engines give has no more. */
    public StoredSound store(Sound sound) {
        return store(sound, 16);
    }

    /** @param bits 16 or 24 */
    public StoredSound store(Sound sound, int bits) {
        return store(SoundSource.of(sound), bits);
    }

    /** Stores a sound of any length, read as it is written. @param bits 16 or 24 */
    public StoredSound store(SoundSource sound, int bits) {
        try {
            return store(new PcmStream(sound, bits), sound.rate(), bits);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    /**
     * Stores a sound as it comes. A sound that is there already is not stored again.
     *
     * @param pcm  16-bit little-endian mono; a part of a sample at its end is left out
     * @param rate samples a second
     */
    public StoredSound store(InputStream pcm, int rate) throws IOException {
        return store(pcm, rate, 16);
    }

    /** @param bits of the samples, 16 or 24 */
    public StoredSound store(InputStream pcm, int rate, int bits) throws IOException {
        UUID id = UUID.randomUUID();
        try {
            return transaction.execute(status -> written(id, pcm, rate, bits));
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
    }

    /** Of a piece: as many samples as go into {@link #PIECE_BYTES}. */
    private static int pieceSamples(int bits) {
        return PIECE_BYTES / (bits / 8);
    }

    private StoredSound written(UUID id, InputStream pcm, int rate, int bits) {
        int each = bits / 8;
        int size = pieceSamples(bits) * each;
        jdbc.sql("insert into sound (id, sample_rate, bits, stored_at) values (:id, :rate, :bits, :now)")
                .param("id", id)
                .param("bits", bits)
                .param("rate", rate)
                .param("now", now())
                .update();
        MessageDigest digest = sha256();
        digest.update((rate + (bits == 16 ? "" : " " + bits) + "\n").getBytes(StandardCharsets.UTF_8));
        long bytes = 0;
        int position = 0;
        try {
            for (byte[] piece = pcm.readNBytes(size); piece.length >= each; piece = pcm.readNBytes(size)) {
                byte[] whole =
                        piece.length % each == 0 ? piece : Arrays.copyOf(piece, piece.length - piece.length % each);
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
        Optional<StoredSound> known = jdbc.sql("update sound set unused_since = null where hash = :hash returning id, "
                        + "sample_rate as rate, samples, bits")
                .param("hash", hash)
                .query(StoredSound.class)
                .optional();
        if (known.isPresent()) {
            jdbc.sql("delete from sound where id = :id").param("id", id).update();
            return known.get();
        }
        jdbc.sql("update sound set hash = :hash, samples = :samples where id = :id")
                .param("hash", hash)
                .param("samples", bytes / each)
                .param("id", id)
                .update();
        return new StoredSound(id, rate, bytes / each, bits);
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
                                + ") returning samples, bits) select coalesce(sum(samples * bits / 8), 0) from gone")
                        .param("sounds", sounds)
                        .query(Long.class)
                        .single();
    }

    /** Its samples as they are stored, little-endian, read from the database as they are wanted. */
    public InputStream pcm(StoredSound sound) {
        return new PcmStream(source(sound), sound.bits());
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
                int each = sound.bits() / 8;
                int size = pieceSamples(sound.bits());
                float[] block = new float[size];
                for (long at = from; at < to; ) {
                    byte[] piece = piece(sound.id(), (int) (at / size));
                    int first = (int) (at % size);
                    int count = (int) Math.min(piece.length / each - first, to - at);
                    for (int i = 0; i < count; i++) {
                        int low = each * (first + i);
                        block[i] = each == 2
                                ? (short) (piece[low] & 0xff | piece[low + 1] << 8) / 32768f
                                : (piece[low] & 0xff | (piece[low + 1] & 0xff) << 8 | piece[low + 2] << 16) / 8388608f;
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
        return time(clock.instant());
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException everyJavaHasIt) {
            throw new IllegalStateException(everyJavaHasIt);
        }
    }
}
