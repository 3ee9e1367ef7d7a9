/**
 * A project in another language: its words beside the first ones, what they owe to them, and where they come from.
 *
 * <p>Another language ({@code language}) is a project of its own that knows which one it is a version of, and each
 * cue which one it stands for and the words that it was made from: so casting, direction, picture, deliveries are as
 * in any project. Cues that nobody linked are paired by their places between those that are ({@code Pairing}). What
 * it owes to the first words is {@code TranslationCheck}'s; the voices that come nearest are found by their figures
 * ({@code NearestVoice}). A service is asked like hired voices, through one client ({@code OutsideService}) and one
 * ledger, by the contract of docs/translation.yaml.
 */
package org.logophon.app.steps.language;
