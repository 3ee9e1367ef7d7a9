/** Voices of the application: engines, what was measured on them, and those of the house. */
package org.logophon.app.services.voices;
