/**
 * What a voice measures: pitch, pace and colour on a published passage, so that voices can be told apart by figures.
 */
package org.logophon.core.voice.figures;
