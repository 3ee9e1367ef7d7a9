package org.logophon.app.steps.deliver;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.logophon.app.services.deliveries.DeliveredProject.Prepared;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.delivery.part.CaptionsPart;
import org.logophon.core.time.caption.Caption;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.springframework.stereotype.Component;

/**
 * The cues whose captions are too fast to read. The page asks at every change of anything: what was found is
 * kept.
 */
@Component
class CaptionSpeeds {

    private static final int MOST_KEPT = 50_000;

    /** Whether a cue's captions are too fast, by all that they follow from. */
    private record CaptionKey(UUID take, String shown, long room, String rate, String language) {}

    private final Cache<CaptionKey, Boolean> known =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    Set<UUID> fast(Prepared now) {
        Set<UUID> fast = new HashSet<>();
        List<PlacedClip<DeliveredClip>> clips = now.delivered().programme().clips();
        for (int i = 0; i < clips.size(); i++) {
            DeliveredClip clip = clips.get(i).cue();
            int at = i;
            CaptionKey asked = new CaptionKey(
                    clip.origin().take(),
                    clip.caption().isEmpty() ? clip.text() : clip.caption(),
                    now.delivered().programme().until(i).samples()
                            - clips.get(i).start().samples(),
                    now.delivered().rate().id(),
                    now.delivered().language());
            if (known.get(
                    asked,
                    any -> CaptionsPart.captions(now.delivered(), at).stream().anyMatch(Caption::fast))) {
                fast.add(clip.origin().cue());
            }
        }
        return fast;
    }
}
