/** The budgets, measured against public tools in the same run, so that a ratio holds on any machine. */
package org.logophon.cli.bench;
