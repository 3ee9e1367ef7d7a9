/** Documents opened as scripts, with what they bring along. */
package org.logophon.app.steps.write.open;
