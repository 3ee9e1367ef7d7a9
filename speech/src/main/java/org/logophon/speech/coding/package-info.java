/** Compressed sound, by FFmpeg in processes of its own. */
package org.logophon.speech.coding;
