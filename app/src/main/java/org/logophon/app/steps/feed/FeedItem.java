package org.logophon.app.steps.feed;

import java.time.Instant;
import java.util.UUID;

/**
 * A programme in the feed.
 *
 * @param title    of its project, as it is now
 * @param seconds  that its file runs
 */
record FeedItem(UUID delivery, UUID project, String title, int ordinal, double seconds, Instant addedAt) {}
