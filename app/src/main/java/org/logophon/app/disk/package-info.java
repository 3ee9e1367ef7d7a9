/** How much room is left on the disk, and what happens while there is little. */
package org.logophon.app.disk;
