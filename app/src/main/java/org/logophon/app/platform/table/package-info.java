/** Columns of PostgreSQL's tables as the types that the application keeps. Depends on nothing else here. */
package org.logophon.app.platform.table;
