/** Findings of a script, and what is done about them. */
package org.logophon.app.steps.write.proof;
