/**
 * From a cue's text and direction to speech: what an engine is given, what it gives back, and how the core closes the
 * gap between what was asked for and what the engine did.
 */
package org.logophon.core.render;
