/** Clips against the picture: what runs over, what would make it fit, and where the room is. */
package org.logophon.core.place;
