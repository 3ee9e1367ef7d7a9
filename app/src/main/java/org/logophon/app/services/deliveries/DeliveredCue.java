package org.logophon.app.services.deliveries;

import java.util.UUID;
import org.logophon.core.review.ApprovalState;
import org.logophon.core.time.programme.SampleCount;

/**
 * A cue as it was delivered.
 *
 * @param take     null when it is gone since
 * @param offsetDb of its loudness against the delivery's target
 * @param start    in the programme
 * @param heard    the state in which it is heard there
 */
public record DeliveredCue(
        UUID cue,
        UUID take,
        String number,
        String scene,
        String role,
        double offsetDb,
        SampleCount start,
        SampleCount length,
        ApprovalState heard) {}
