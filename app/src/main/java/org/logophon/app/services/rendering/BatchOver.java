package org.logophon.app.services.rendering;

import java.time.Duration;
import java.util.UUID;

/** The last cue of a batch has ended. @param took from when it was asked for */
public record BatchOver(UUID project, int done, int failed, Duration took) {}
