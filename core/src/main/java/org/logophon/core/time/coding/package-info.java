/** Sound in files of every format: a programme as one sound, its parts, and the coding of it. */
package org.logophon.core.time.coding;
