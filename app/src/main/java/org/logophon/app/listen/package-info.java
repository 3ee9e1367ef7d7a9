/** The Listen step: hearing the programme through, saying what is off, choosing takes, and what has happened. */
package org.logophon.app.listen;
