/** Finding and replacing in a script. */
package org.logophon.app.write.find;
