/** Judging by ear: in which state a cue was heard and found good, and where a note stands. */
package org.logophon.core.review;
