/** The Cast step: the catalogue of voices, trying them on one's own words, and giving them to roles. */
package org.logophon.app.steps.cast;
