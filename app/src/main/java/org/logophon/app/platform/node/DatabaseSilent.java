package org.logophon.app.platform.node;

/** The event that the database stopped answering this server, or answers again. */
public record DatabaseSilent(boolean now) {}
