package org.logophon.app.platform.node;

/** That the database has fallen silent, as this server sees it, or answers again. */
public record DatabaseSilent(boolean now) {}
