package org.logophon.app.services.project.bed;

import java.util.UUID;
import org.logophon.core.time.bed.Bed;

/**
 * A sound under a stretch of a project's programme.
 *
 * @param sound   of the lists
 * @param fromCue at whose start it begins; null for the programme's
 * @param toCue   at whose end it ends; null for the programme's
 */
public record ProjectBed(UUID id, UUID project, UUID sound, UUID fromCue, UUID toCue, Bed.Settings settings) {}
