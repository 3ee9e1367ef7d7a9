/** WAV files: RIFF, and the {@code bext} chunk of EBU Tech 3285. */
package org.logophon.core.signal.wav;
