/** A script in another language: which cue stands for which, what its words owe to the first, who says it. */
package org.logophon.core.review.translation;
