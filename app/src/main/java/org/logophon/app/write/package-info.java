/** The Write step: saving a script, the cues that it falls into, and its versions. */
package org.logophon.app.write;
