/** The made-up projects that the demo puts on the shelf. */
package org.logophon.app.demo;
