/** The web application. */
package org.logophon.app;
