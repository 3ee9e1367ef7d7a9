/** Budgets that only a browser can measure. */
package org.logophon.app.bench;
