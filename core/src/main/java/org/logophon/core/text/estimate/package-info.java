/** How long a text will run before it is spoken: syllables, and the pace of a voice. */
package org.logophon.core.text.estimate;
