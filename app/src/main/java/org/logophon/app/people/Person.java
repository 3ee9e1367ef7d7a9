package org.logophon.app.people;

import java.util.UUID;

/** Somebody who can sign in. */
public record Person(UUID id, String name) {}
