package org.logophon.app.services.rendering;

import java.util.UUID;

/**
 * A cue that is rendered now, for a batch.
 *
 * @param holder who does it; another, once it was taken over from a server that was taken for dead
 */
record RenderJob(UUID batch, UUID cue, UUID holder) {}
