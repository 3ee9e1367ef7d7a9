/**
 * This server among those that work on the same database: the time that they share, who of them is there, and what the
 * database tells them.
 *
 * <p>Many servers ({@code node}). Whatever a server knows is in the database or follows from its versions; what it
 * keeps in memory listens to the same {@code NOTIFY} ({@code DatabaseChange}), so any server answers any request, and
 * none is anybody's own. All go by the database's time ({@code DatabaseClock}), and say every second that they are
 * there; when the database is silent for four, open pages are told. Who asks for a page has an answer of the database
 * within ten seconds or a sentence ({@code ShortWaits}); jobs wait longer. docs/scale.md has what was measured.
 */
package org.logophon.app.platform.node;
