/**
 * How much room is left on the disk, and what happens while there is little.
 *
 * <p>Disk. On a full disk nothing that changes something is begun, but for what makes room ({@code FullDiskGuard},
 * {@code NeedsNoRoom}); jobs ask before they write ({@code DiskRoom}). A disk that is full all the same is told apart
 * from a database that is away, and not tried again ({@code NoRoom}).
 */
package org.logophon.app.platform.disk;
