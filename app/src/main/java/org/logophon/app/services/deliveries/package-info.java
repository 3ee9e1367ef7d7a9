/** Packages: what one shall hold, building it as a job, and keeping what was delivered and of which takes. */
package org.logophon.app.services.deliveries;
