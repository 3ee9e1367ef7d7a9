/**
 * What sounds beside the voice: sounds in gaps, and beds under stretches of a programme. A {@link
 * org.logophon.core.time.bed.Layer} is all of that as one sound, as long as its programme; it gives way to the voice,
 * and under its peaks.
 *
 * <p>Sounds and beds ({@code core.time.bed}, {@code project.bed}, {@code bed}): all that lies under a programme is
 * one sound as long as the programme, {@code Layer}, made in blocks as it is read. What lies where ({@code LaidOut})
 * follows from beds, marks of sounds and kept takes, and is kept with a delivery. How loud a bed is under the voice
 * is summed from a profile of its file ({@code EnergyProfile}), not measured again. {@code VoiceWithBed} lays it beside
 * the voice: where both would pass the ceiling, the layer gives way ({@code PeakRoom}). Pages play it by ranges
 * beside the takes, the same stretch of the programme at the same moment ({@code js/sound/under.js}). Of a sound in a
 * gap a recipe knows the gap alone.
 */
package org.logophon.core.time.bed;
