/**
 * How written forms are said: numbers, dates, money, units, acronyms and their like. {@link
 * org.logophon.core.text.normalization.WrittenForms}
 * finds them; each kind has a file of rules. Numbers, ordinals, units and names of months come from CLDR through ICU4J;
 * what English does beyond that follows the conventions named beside each form in the list of the tests ({@code
 * spoken-forms.tsv}).
 */
package org.logophon.core.text.normalization;
