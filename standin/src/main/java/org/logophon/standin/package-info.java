/**
 * A stand-in for an outside service of hired voices, behind the contract of {@code docs/hired-voices.yaml}: a small
 * server of
 * its own that speaks with the engines at hand, keeps a limit and an allowance, takes its time, and fails now and then.
 */
package org.logophon.standin;
