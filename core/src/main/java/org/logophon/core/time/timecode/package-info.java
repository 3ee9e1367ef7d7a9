/** Frames and timecode: how editors count time (SMPTE ST 12-1). */
package org.logophon.core.time.timecode;
