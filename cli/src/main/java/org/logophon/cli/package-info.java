/** Headless use: a command a class. */
package org.logophon.cli;
