package org.logophon.app.platform.failure;

/** A refusal until a price is agreed to; its message gives the price, and what will be left. */
public class PriceFirst extends RuntimeException {

    private final int characters;
    private final String money;

    /** @param characters to agree to @param money as in "0.97 EUR" */
    public PriceFirst(String sentence, int characters, String money) {
        super(sentence);
        this.characters = characters;
        this.money = money;
    }

    public int characters() {
        return characters;
    }

    public String money() {
        return money;
    }
}
