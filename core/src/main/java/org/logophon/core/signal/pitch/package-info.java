/** The fundamental frequency of speech, by YIN (de Cheveigné and Kawahara, JASA 111, 2002). */
package org.logophon.core.signal.pitch;
