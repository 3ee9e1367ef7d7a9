/** Marks: direction on single words, runs of words and the gaps between them. */
package org.logophon.core.direction.mark;
