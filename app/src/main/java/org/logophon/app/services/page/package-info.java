/** What every page of a project shows: its head and path, and how people type and read numbers and times. */
package org.logophon.app.services.page;
