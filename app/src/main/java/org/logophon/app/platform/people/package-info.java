/**
 * Who people are, which workspace they are in, and the one place that decides what they may do.
 *
 * <p>People ({@code people}) are switched on by a setting. {@code Access} comes before every handler and decides by
 * the address's right ({@code Rights}), whose workspace it is and what the person is there; what was decided is the
 * {@code Visit}, and lists of the house ask {@code Visits} whose they are. Switched off, every visit is that of the
 * first workspace's owner, and nothing is asked. Jobs have no visit: they work for a project, which knows its
 * workspace. docs/security.md has the table.
 */
package org.logophon.app.platform.people;
