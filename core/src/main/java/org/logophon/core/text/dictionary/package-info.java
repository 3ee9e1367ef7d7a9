/** Open word lists: which words are known, and how many syllables they have. */
package org.logophon.core.text.dictionary;
