package org.logophon.core.time.caption;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Small words that say where a line may break: before those that open a phrase, never after those that want the next
 * word. Lists of the commonest, from memory; a language without one breaks at its punctuation and anywhere between
 * words.
 */
record BreakWords(Set<String> openers, Set<String> holders) {

    private static final BreakWords NONE = new BreakWords(Set.of(), Set.of());

    private static final Map<String, BreakWords> BY_LANGUAGE = Map.of(
            "en",
            of(
                    "and but or nor so yet for because although though while when where whereas if unless "
                            + "until since that which who whose in on at by to from with without into onto over "
                            + "under after before between through about against during of as than",
                    "a an the my your his her its our their this that these those some any no every each very"),
            "de",
            of(
                    "und oder aber denn sondern weil dass ob wenn als während bis damit obwohl der die das "
                            + "welcher in an auf aus bei mit nach von zu zum zur vor über unter durch für gegen ohne "
                            + "um zwischen",
                    "der die das den dem des ein eine einen einem einer eines mein dein sein ihr unser "
                            + "kein keine dieser diese dieses jeder jede jedes sehr"),
            "fr",
            of(
                    "et mais ou donc or ni car que qui dont où quand lorsque si parce puisque comme dans "
                            + "sur sous avec sans pour par en de du des à au aux chez entre vers",
                    "le la les un une des du au aux l' mon ma mes ton ta tes son sa ses notre votre leur "
                            + "leurs ce cet cette ces chaque très"),
            "es",
            of(
                    "y e o u pero sino porque aunque cuando donde que quien si como en de del a al con sin "
                            + "por para sobre entre hasta desde",
                    "el la los las un una unos unas mi tu su nuestro este esta estos estas ese esa cada muy"),
            "it",
            of(
                    "e ed o ma però perché quando dove che chi se come in di del della dei delle a al alla "
                            + "con senza per su tra fra da dal",
                    "il lo la i gli le un uno una l' mio tuo suo nostro questo questa questi queste ogni molto"));

    static BreakWords of(String language) {
        return BY_LANGUAGE.getOrDefault(language.split("-")[0].toLowerCase(Locale.ROOT), NONE);
    }

    private static BreakWords of(String openers, String holders) {
        return new BreakWords(Set.copyOf(List.of(openers.split(" "))), Set.copyOf(List.of(holders.split(" "))));
    }
}
