/** Folders that are watched: a script that is put there becomes clips beside it, like a project that somebody chose. */
package org.logophon.app.dropped;
