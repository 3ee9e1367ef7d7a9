/** Cues with their direction as SSML 1.1 (W3C Recommendation 7 September 2010), out and in. */
package org.logophon.core.direction.ssml;
