/**
 * Words of one spelling and two pronunciations, told apart by their part of speech and the words around them.
 *
 * <p>Begin with {@link org.logophon.core.text.heteronym.Heteronyms}. Parts of speech are found by Apache OpenNLP with
 * its model for English; it is loaded when the first such word comes.
 */
package org.logophon.core.text.heteronym;
