/** Word when long work is done, and when somebody with a link says something: in the page, by mail, by a webhook. */
package org.logophon.app.tidings;
