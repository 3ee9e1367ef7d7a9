/** Sound files of people's own, and where they lie under a project's programme. */
package org.logophon.app.services.project.bed;
