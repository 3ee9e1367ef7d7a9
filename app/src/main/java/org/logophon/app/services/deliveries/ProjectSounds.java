package org.logophon.app.services.deliveries;

import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Map;
import org.logophon.app.services.project.take.Take;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.signal.sound.Resampler;
import org.logophon.core.signal.sound.SoundSource;
import org.logophon.core.time.coding.Coder;

/**
 * Finished clips of a project: their samples are made as they are written.
 *
 * @param clips  by number
 * @param takes  by number
 * @param before spoken title; null for none
 * @param layer  sounds and beds; null for none
 */
record ProjectSounds(
        Map<String, SoundSource> clips,
        Map<String, Take> takes,
        SoundSource before,
        SoundSource layer,
        Coder coder,
        Resampler resampler)
        implements Sounds {

    @Override
    public SoundSource clip(DeliveredClip clip) {
        return clips.get(clip.number());
    }

    @Override
    public LocalDateTime made(DeliveredClip clip) {
        return LocalDateTime.ofInstant(takes.get(clip.number()).createdAt(), ZoneOffset.UTC);
    }
}
