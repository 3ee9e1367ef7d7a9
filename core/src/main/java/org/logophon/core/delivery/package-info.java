/**
 * What a package is made of: clips with their names, and the files that tell of the whole programme. The application
 * and the command line pack with the same parts.
 *
 * <p>Depends on {@code time} and all below it. Begin with {@link org.logophon.core.delivery.part.Parts}: a file and a
 * line there is a new part of a delivery.
 */
package org.logophon.core.delivery;
