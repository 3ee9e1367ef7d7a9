package org.logophon.app.platform.web;

/**
 * A price that has to be agreed to first.
 *
 * @param characters the number to agree to
 * @param price      as people write it: "0.97 EUR"
 */
record PriceAnswer(String sentence, int characters, String price) {}
