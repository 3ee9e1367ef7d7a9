/** Sound as samples: whole, or as a source that is read in blocks. */
package org.logophon.core.signal.sound;
