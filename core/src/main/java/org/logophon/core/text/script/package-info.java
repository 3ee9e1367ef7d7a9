/**
 * The script as written and the cues it falls into: headings, role names, notes, words, numbers, and the matching of
 * cues across an edit. Text offsets are UTF-16 indices, start inclusive and end exclusive.
 */
package org.logophon.core.text.script;
