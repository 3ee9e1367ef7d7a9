package org.logophon.app.platform.web;

/** @param address of the page to go to */
public record AddressAnswer(String address) {}
