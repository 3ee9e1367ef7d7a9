/** Loudness and true peak by ITU-R BS.1770-5, and a limiter that keeps a ceiling. */
package org.logophon.core.signal.loudness;
