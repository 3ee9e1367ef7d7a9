package org.logophon.app.feed;

import java.time.Instant;

/** The feed that is open. */
record Feed(String title, String description, Instant createdAt) {}
