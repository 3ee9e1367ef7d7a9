/**
 * Sound as it lies in the database: each sound once, under the hash of its samples, in pieces of a fixed size, written and
 * read as a stream.
 */
package org.logophon.app.audio;
