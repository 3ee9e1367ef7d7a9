/** How the application meets the web: errors as sentences, security, and what answers look like. */
package org.logophon.app.web;
