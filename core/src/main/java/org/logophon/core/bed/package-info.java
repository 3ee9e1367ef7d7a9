/**
 * What sounds beside the voice: sounds in gaps, and beds under stretches of a programme. A {@link org.logophon.core.bed.Layer}
 * is all of that as one sound, as long as its programme; it gives way to the voice, and under its peaks.
 */
package org.logophon.core.bed;
