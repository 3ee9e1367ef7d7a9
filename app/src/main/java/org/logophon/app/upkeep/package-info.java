/** What the parts of the store say of themselves: how much they hold, and what of it nobody needs any more. */
package org.logophon.app.upkeep;
