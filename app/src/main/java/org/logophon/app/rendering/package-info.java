/**
 * Renders cues as persistent jobs: a batch is what somebody asked for at once, each of its cues one job, and what a job
 * makes (speech by recipe, takes by cue) is saved in one transaction with its being done. A killed server finishes its
 * batches when it is started again, and makes nothing twice.
 */
package org.logophon.app.rendering;
