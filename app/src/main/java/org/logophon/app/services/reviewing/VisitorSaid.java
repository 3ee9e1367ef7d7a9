package org.logophon.app.services.reviewing;

import java.util.UUID;

/** The event of a note or an approval by a link. @param cue null for all of it */
public record VisitorSaid(UUID project, UUID cue, String sentence) {}
