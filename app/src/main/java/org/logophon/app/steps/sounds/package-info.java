/** Sounds and beds: the lists of sound files, what lies where under the programme, and how all of it is heard. */
package org.logophon.app.steps.sounds;
