/** What commands share: scripts and their options, voices of others, and how a command says that it can't go on. */
package org.logophon.cli.input;
