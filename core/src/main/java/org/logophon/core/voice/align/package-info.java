/**
 * When words sound in speech that doesn't say so: another voice says the same words, and its times are carried over by
 * dynamic time warping.
 */
package org.logophon.core.voice.align;
