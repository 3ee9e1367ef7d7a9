package org.logophon.app.platform.people;

import java.util.UUID;

/** A person with an account. */
public record Person(UUID id, String name) {}
