/**
 * What the parts of the store say of themselves: how much they hold, and what of it nobody needs any more.
 *
 * <p>Upkeep. Each part of the store says what it holds and takes away what nobody needs ({@code Upkeep}): every
 * night, and from the page Space. Takes, deliveries and what was paid for stay.
 */
package org.logophon.app.platform.upkeep;
