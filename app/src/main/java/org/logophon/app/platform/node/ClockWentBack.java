package org.logophon.app.platform.node;

import java.time.Duration;

/** That it is earlier in the house than it was a moment ago: what was planned since then is in the future now. */
public record ClockWentBack(Duration by) {}
