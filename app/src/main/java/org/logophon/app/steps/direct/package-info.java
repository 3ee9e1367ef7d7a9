/** The Direct step: the score of a cue with its marks, its takes, and direction of cue, role and script. */
package org.logophon.app.steps.direct;
