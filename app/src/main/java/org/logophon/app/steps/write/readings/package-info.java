/** Lists of readings of the project and of the house, and hearing them. */
package org.logophon.app.steps.write.readings;
