/** Times of the picture, read from the files of editors and captions, and matched to cues. */
package org.logophon.core.time.picture;
