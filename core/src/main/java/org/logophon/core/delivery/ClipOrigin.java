package org.logophon.core.delivery;

import java.util.UUID;

/** Where a clip comes from, so that it finds its way back. */
public record ClipOrigin(UUID project, UUID cue, UUID take) {}
