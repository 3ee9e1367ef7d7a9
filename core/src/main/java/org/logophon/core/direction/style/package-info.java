/** Ways of speaking under names of our own: bundles of pace, pitch, range, loudness and pauses. */
package org.logophon.core.direction.style;
