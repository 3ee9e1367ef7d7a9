/**
 * A project as one file, out of one house and into another: docs/formats.md says what is in it.
 *
 * <p>A project as a file ({@code moving}): the rows of its tables, as the database says them, and its sounds, in a
 * ZIP (docs/formats.md). Coming in, everything but speech gets another id, what a row names has to be in the file, a
 * recipe is believed for nobody else, and the whole is looked at as pages do before it stays; one transaction.
 */
package org.logophon.app.steps.transfer;
