/** From speech to a clip that can be delivered: rate, loudness, true peak, head and tail. */
package org.logophon.core.voice.finish;
