/**
 * What a package is made of: clips with their names, and the files that tell of the whole programme. The application and
 * the command line pack with the same parts.
 */
package org.logophon.core.delivery;
