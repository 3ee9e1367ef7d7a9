/**
 * What people say themselves: their speech held against the script, measured, and used as a voice that can say its own words
 * only, or as the way in which another voice says them.
 */
package org.logophon.core.recording;
