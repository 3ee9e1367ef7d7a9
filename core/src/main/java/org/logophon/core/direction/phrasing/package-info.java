/**
 * Phrasing: where a text rests, rises, falls and leans, worked out from its words and signs alone. Begin with
 * {@link org.logophon.core.direction.phrasing.Phrasing}; how it is heard is the business of {@code voice.render}.
 */
package org.logophon.core.direction.phrasing;
