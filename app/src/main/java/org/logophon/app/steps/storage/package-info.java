/** The page "Space": what uses how much, and the upkeep that takes away what nobody needs. */
package org.logophon.app.steps.storage;
