package org.logophon.app.services.deliveries;

import java.time.Duration;
import java.util.UUID;

/**
 * A delivery has been built, or could not be.
 *
 * @param problem sentence; empty for none
 * @param took from when it was asked for
 */
public record DeliveryOver(UUID project, int ordinal, String problem, Duration took) {}
