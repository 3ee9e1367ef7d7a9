/**
 * A script saved: its cues matched to those before, marks and notes moved with their words, its versions, and documents
 * opened.
 *
 * <p>Two at once. A save says from which version it was made. Where others saved meanwhile, both texts are brought
 * together paragraph by paragraph ({@code ScriptMerge}, from the text that both were made from); a paragraph that
 * both changed is offered to a person, and nothing is overwritten.
 *
 * <p>Identity. A script is text; cuts by hand are places in it. Saving parses it again, moves the cuts ({@code
 * TextDiff}), matches cues old to new ({@code CueMatch}), and moves marks and readings with their words. Every saved
 * state is a row; undo and redo are states too.
 */
package org.logophon.app.services.script;
