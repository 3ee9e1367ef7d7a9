/** This server among those that work on the same database: the time that they share, who of them is there, and what the database tells them. */
package org.logophon.app.node;
