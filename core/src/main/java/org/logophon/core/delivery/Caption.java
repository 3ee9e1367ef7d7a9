package org.logophon.core.delivery;

import java.util.List;

/**
 * One caption: one or two lines shown together.
 *
 * @param startMillis from the programme's start
 */
public record Caption(long startMillis, long endMillis, List<String> lines) {}
