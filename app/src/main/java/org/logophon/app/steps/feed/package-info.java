/** The feed of the house: programmes that their owner lets others subscribe to. */
package org.logophon.app.steps.feed;
