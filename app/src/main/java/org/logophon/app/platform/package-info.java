/**
 * What the application stands on: sound in the database, the disk, servers that share a database, people and what they
 * may do, the upkeep of the store, and how it meets the web. Nothing here knows of projects.
 *
 * <p>Depends on no other package of the application. Begin with {@link org.logophon.app.platform.people.Access}, which
 * decides on every request, and {@link org.logophon.app.platform.audio.AudioStore}.
 */
package org.logophon.app.platform;
