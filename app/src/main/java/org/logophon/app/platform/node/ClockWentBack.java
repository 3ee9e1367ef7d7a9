package org.logophon.app.platform.node;

import java.time.Duration;

/** The event that the database's clock went back: what was planned since then is in the future now. */
public record ClockWentBack(Duration by) {}
