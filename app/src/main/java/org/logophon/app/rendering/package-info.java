/**
 * Renders cues: a batch is what somebody asked for at once, and lanes, which are persistent jobs, take its cues one after
 * another on whichever server is free. What is made of a cue (a speech by its recipe, a take) is saved in one transaction
 * with the cue's being done. What a killed server was at is taken over by others, and nothing is made twice.
 */
package org.logophon.app.rendering;
