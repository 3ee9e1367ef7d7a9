/** A project in another language: its words beside the first ones, what they owe to them, and where they come from. */
package org.logophon.app.language;
