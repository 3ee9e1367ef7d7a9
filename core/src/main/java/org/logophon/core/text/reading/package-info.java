/**
 * Readings: how a written form is said, kept in lists for a project and for the house, exchanged as PLS 1.0 and CSV.
 */
package org.logophon.core.text.reading;
