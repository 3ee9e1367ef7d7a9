package org.logophon.app.platform.people;

import java.util.UUID;

/** Somebody who can sign in. */
public record Person(UUID id, String name) {}
