/** Finding and replacing in a script. */
package org.logophon.app.steps.write.find;
