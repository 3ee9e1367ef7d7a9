/** Voices: what they are, what they can do, and how a house voice is tuned. */
package org.logophon.core.voice;
