/** Direction that is proposed for a text, each piece with its reason. */
package org.logophon.core.review.suggest;
