/** What a cue is directed by, set for several cues at once, with its undo. */
package org.logophon.app.services.direction;
