/** Who people are, which workspace they are in, and the one place that decides what they may do. */
package org.logophon.app.people;
