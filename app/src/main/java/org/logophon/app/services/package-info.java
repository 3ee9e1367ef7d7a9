/**
 * What several steps share: the store of projects, takes and deliveries, rendering, voices, open pages that hear of
 * changes, notifications.
 *
 * <p>Depends on {@code platform}. Begin with {@link org.logophon.app.services.project.Projects}, then
 * {@link org.logophon.app.services.rendering.Lane}.
 */
package org.logophon.app.services;
