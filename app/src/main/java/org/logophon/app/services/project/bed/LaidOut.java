package org.logophon.app.services.project.bed;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.time.bed.Bed;
import org.logophon.core.time.programme.SampleCount;
import tools.jackson.databind.json.JsonMapper;

/**
 * Everything that lies under a programme, by its places in samples at 48 kHz: kept with a delivery, it sounds the same
 * later.
 *
 * @param voiceLufs that levels are against
 */
public record LaidOut(double voiceLufs, List<BedAt> beds, List<SoundAt> sounds) {

    public static final LaidOut NOTHING = new LaidOut(0, List.of(), List.of());

    private static final JsonMapper JSON = JsonMapper.builder().build();

    public LaidOut {
        beds = List.copyOf(beds);
        sounds = List.copyOf(sounds);
    }

    /** A sound as it is used. */
    public record Used(StoredSound sound, long from, long to, double ownDb) {}

    public record BedAt(Used used, long from, long to, Bed.Settings settings) {}

    public record SoundAt(Used used, long at, long length, double levelDb) {

        private long end() {
            return at
                    + Math.min(
                            length,
                            SampleCount.converted(used.to - used.from, used.sound.rate())
                                    .samples());
        }
    }

    public boolean empty() {
        return beds.isEmpty() && sounds.isEmpty();
    }

    /** Sounds that it needs. */
    public Set<UUID> soundIds() {
        return Stream.concat(beds.stream().map(BedAt::used), sounds.stream().map(SoundAt::used))
                .map(used -> used.sound().id())
                .collect(Collectors.toSet());
    }

    public String written() {
        return JSON.writeValueAsString(this);
    }

    public static LaidOut read(String json) {
        return JSON.readValue(json, LaidOut.class);
    }

    /** Another one whenever it may sound otherwise. */
    public String stamp() {
        return stamp("");
    }

    /** The same with something else that it hangs on. */
    public String stamp(String also) {
        return Sha256.hex(written() + also).substring(0, 24);
    }

    /** How long it sounds: as long as its programme, or until a sound in the last gap is over. */
    public SampleCount length(SampleCount programme) {
        return new SampleCount(sounds.stream().mapToLong(SoundAt::end).reduce(programme.samples(), Math::max));
    }
}
