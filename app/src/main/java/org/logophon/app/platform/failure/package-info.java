/**
 * What can go wrong, each with a sentence for people: refused, not found, stale, too often, no room on the disk, the
 * database away. {@link org.logophon.app.platform.web} makes answers of them; nothing here knows of the web.
 */
package org.logophon.app.platform.failure;
