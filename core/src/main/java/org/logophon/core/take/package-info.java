/** What made a take, as data that outlives the code that made it. */
package org.logophon.core.take;
