/** Shapes of the mouth for characters that speak. */
package org.logophon.core.time.viseme;
