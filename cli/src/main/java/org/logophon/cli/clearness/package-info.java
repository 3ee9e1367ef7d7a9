/** Measures how clear voices are, with a recogniser that isn't needed for anything else. */
package org.logophon.cli.clearness;
