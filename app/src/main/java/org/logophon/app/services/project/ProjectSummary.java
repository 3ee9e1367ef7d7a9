package org.logophon.app.services.project;

import java.time.Instant;
import java.util.UUID;
import org.logophon.core.time.programme.SampleCount;

/**
 * A project in a line: what a list of all projects shows.
 *
 * @param targetSeconds how long it shall run; null when nobody said
 * @param length        of its programme
 * @param toRender      cues that a render would make anew
 * @param rendering     cues under way
 * @param takes         of its cues, deleted ones left out
 * @param unfit         cues that can't be rendered or failed to be
 */
public record ProjectSummary(
        UUID id,
        String name,
        Integer targetSeconds,
        Instant changedAt,
        SampleCount length,
        int cues,
        int toRender,
        int rendering,
        int unfit,
        int takes,
        int deliveries) {}
