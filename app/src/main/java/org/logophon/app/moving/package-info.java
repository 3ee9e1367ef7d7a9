/** A project as one file, out of one house and into another: docs/formats.md says what is in it. */
package org.logophon.app.moving;
