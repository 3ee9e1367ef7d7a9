/**
 * The Listen step: hearing the programme through, saying what is off, choosing takes, and what has happened.
 *
 * <p>Heard without a break. Pages play at 48 kHz, the programme's own rate. Takes come in pieces of ten seconds by
 * range requests and are laid on their samples seconds ahead, gaps as lengths between them, so nothing is joined by a
 * timer and little is held; another speed is made by overlap-add, at the same pitch ({@code js/sound}).
 */
package org.logophon.app.steps.listen;
