/**
 * How text is spoken: dials at three levels that nest (project, role, cue), styles, marks on words and gaps, and SSML
 * in and out.
 *
 * <p>Depends on {@code text} and {@code signal}. Begin with {@link org.logophon.core.direction.ResolvedDirection}, then
 * {@link org.logophon.core.direction.mark.MarkKind}: the one table of marks and their ranges.
 */
package org.logophon.core.direction;
