/**
 * Pitch, pace, liveliness and timbre changed in the signal, where an engine can't do it or falls short: time-domain
 * pitch-synchronous overlap-add (Moulines and Charpentier, Speech Communication 9, 1990).
 */
package org.logophon.core.signal.prosody;
