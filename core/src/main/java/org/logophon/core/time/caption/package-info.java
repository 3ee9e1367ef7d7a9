/** What is said, to be read along: where captions begin, end and break, and the formats that they are written in. */
package org.logophon.core.time.caption;
