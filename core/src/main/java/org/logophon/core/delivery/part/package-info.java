/** What a delivery may hold beside its clips, each in a file of its own here. */
package org.logophon.core.delivery.part;
