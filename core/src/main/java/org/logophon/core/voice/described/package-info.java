/** From a plain description to the closest voices and how to tune them, by what was measured. */
package org.logophon.core.voice.described;
