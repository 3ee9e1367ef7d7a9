/** Script files to numbered clips, their cue sheet and captions. */
package org.logophon.cli.narrate;
