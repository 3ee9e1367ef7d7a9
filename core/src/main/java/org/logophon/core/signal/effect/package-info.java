/**
 * Effects that change what a voice seems to come through, each with a mix from the voice itself to the effect alone.
 */
package org.logophon.core.signal.effect;
