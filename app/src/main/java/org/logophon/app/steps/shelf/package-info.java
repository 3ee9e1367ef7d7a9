/** The shelf: every project in a line, and what can be done with one as a whole. */
package org.logophon.app.steps.shelf;
