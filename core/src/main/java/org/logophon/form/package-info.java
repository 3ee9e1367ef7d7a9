/**
 * How written forms are said: numbers, dates, money, units, acronyms and their like. {@link org.logophon.form.WrittenForms}
 * finds them; each kind has a file of rules. Numbers, ordinals, units and names of months come from CLDR through ICU4J;
 * what English does beyond that follows the conventions named in {@code docs/spoken-forms.md}.
 */
package org.logophon.form;
