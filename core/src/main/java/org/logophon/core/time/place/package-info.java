/**
 * Clips against the picture: what runs over, what would make it fit, and where the room is.
 *
 * <p>Placed to a picture. A cue follows, is fixed, or has a slot ({@code Placement}); {@code Programme.placed} lays
 * them on frames once a project has a rate, and on exact samples while it has none. {@code PlaceCheck} says what
 * doesn't fit, {@code Fit} what would make it, with so much to spare that what it promises is measured so; applied,
 * it is marks and a pace. Room around a slot is free frames between its neighbours ({@code Room}); used, it becomes
 * the slot's. Placements, and slots without a cue, have an undo of their own ({@code place_edit}).
 */
package org.logophon.core.time.place;
