/** How the core says that it can't use what it was given. */
package org.logophon.core.input;
