/**
 * How the house is: its database, its workers, what waits, what it has rendered; for who keeps it, and for programs
 * that watch.
 */
package org.logophon.app.steps.status;
