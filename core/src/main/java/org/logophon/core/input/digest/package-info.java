/** Digests that serve as keys. */
package org.logophon.core.input.digest;
