/** Engines of the user's own: any program on the machine that speaks, as a settings file describes it. */
package org.logophon.speech.own;
