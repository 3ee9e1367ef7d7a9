package org.logophon.app.services.reviewing;

import java.util.UUID;

/** Somebody with a link has noted or approved something. @param cue null for all of it */
public record VisitorSaid(UUID project, UUID cue, String sentence) {}
