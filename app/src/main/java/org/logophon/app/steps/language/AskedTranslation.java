package org.logophon.app.steps.language;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.logophon.app.platform.failure.Forbidden;
import org.logophon.app.platform.failure.PriceFirst;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.hired.Ledger;
import org.logophon.app.services.hired.Prices;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.input.digest.Sha256;
import org.logophon.core.review.translation.GlossaryTerm;
import org.logophon.speech.outside.ServiceRefused;
import org.logophon.speech.outside.TranslationService;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** The translation of missing words by the outside service: its price first, some cues at a time. */
@Service
class AskedTranslation {

    /** So many cues at once: a page shows how far it is, and can stop. */
    private static final int AT_ONCE = 8;

    private final Versions versions;
    private final VersionTable table;
    private final GlossaryRepository glossary;
    private final PaidTranslations paid;
    private final Prices prices;
    private final Ledger ledger;
    private final TranslationService service;

    /** @throws InvalidInput with a sentence when the address is none */
    AskedTranslation(
            Versions versions,
            VersionTable table,
            GlossaryRepository glossary,
            PaidTranslations paid,
            Prices prices,
            Ledger ledger,
            @Value("${logophon.translation-address}") String address,
            @Value("${logophon.translation-key}") String key) {
        this.versions = versions;
        this.table = table;
        this.glossary = glossary;
        this.paid = paid;
        this.prices = prices;
        this.ledger = ledger;
        try {
            this.service = address.isBlank() ? null : new TranslationService(address.strip(), key.strip());
        } catch (IllegalArgumentException bad) {
            throw new InvalidInput("LOGOPHON_TRANSLATION_ADDRESS: " + bad.getMessage(), bad);
        }
    }

    boolean there() {
        return service != null;
    }

    /**
     * How far it is.
     *
     * @param agreement to go on under; null when nothing needs paying
     * @param left      cues that are still to be asked for
     * @param skipped   cues that there is no translation for
     */
    record Progress(UUID agreement, int said, int left, List<UUID> skipped, String sentence) {}

    private record Wanted(UUID cue, String number, String text, List<GlossaryTerm> terms, String key) {

        int characters() {
            return text.codePointCount(0, text.length());
        }
    }

    /**
     * Asks for some of what a version lacks.
     *
     * @param agreed    characters that somebody has agreed to, after they saw the price
     * @param agreement under which it was begun; null to begin
     * @param skipped   cues that there is no translation for, as it said before
     * @throws PriceFirst with the price of all of it, until it was agreed to
     */
    Progress ask(UUID id, int agreed, UUID agreement, Set<UUID> skipped) {
        if (service == null) {
            throw new Refused("No translation service is set up. See docs/settings.md, or import texts.");
        }
        Versions.Pair pair = versions.pair(id);
        String from = pair.first().language();
        String to = pair.version().language();
        TranslationService.Terms terms = service.terms();
        if (!terms.does(from, to)) {
            throw new Refused("The service doesn't translate from " + Versions.named(from) + " to " + Versions.named(to)
                    + ". Import texts instead.");
        }
        List<Wanted> wanted = wanted(pair, skipped);
        wanted.stream()
                .filter(one -> one.characters() > terms.mostCharacters())
                .findFirst()
                .ifPresent(one -> {
                    throw new Refused("Cue " + one.number() + " is too long for the service, which takes "
                            + terms.mostCharacters() + " characters. Split it in the original.");
                });
        Map<String, String> known = paid.among(wanted.stream().map(Wanted::key).toList());
        UUID under = agreement != null ? agreement : agree(pair, wanted, known.keySet(), agreed, terms);
        if (agreement != null && !prices.agreedFor(id, agreement)) {
            throw new Forbidden("That price was for another project. Ask again to see this one.");
        }
        Ledger.Charged charged = new Ledger.Charged(
                "translation-" + from.split("-")[0] + "-" + to.split("-")[0],
                "Translation to " + Versions.named(to),
                terms.pricePerCharacter(),
                terms.currency());
        Map<UUID, String> said = new HashMap<>();
        List<Wanted> without = new ArrayList<>();
        List<Wanted> some = wanted.subList(0, Math.min(AT_ONCE, wanted.size()));
        for (Wanted one : some) {
            String words = known.get(one.key());
            if (words == null) {
                words = bought(one, from, to, charged, under).orElse(null);
            }
            if (words == null) {
                without.add(one);
            } else {
                said.put(one.cue(), words);
            }
        }
        if (!said.isEmpty()) {
            versions.sayAll(id, said, "Translated by a service");
        }
        int left = wanted.size() - some.size();
        return new Progress(
                under,
                said.size(),
                left,
                without.stream().map(Wanted::cue).toList(),
                sentence(said.size(), left, without.stream().map(Wanted::number).toList()));
    }

    private static String sentence(int said, int left, List<String> without) {
        String done = said == 1 ? "1 cue is translated" : said + " cues are translated";
        String lacking = without.isEmpty() ? "" : "; there is no translation for " + String.join(", ", without);
        return done + lacking + (left == 0 ? "." : "; " + left + " to go.");
    }

    private UUID agree(
            Versions.Pair pair, List<Wanted> wanted, Set<String> known, int agreed, TranslationService.Terms terms) {
        Set<String> counted = new HashSet<>(known);
        int characters = wanted.stream()
                .filter(one -> counted.add(one.key()))
                .mapToInt(Wanted::characters)
                .sum();
        if (wanted.isEmpty()) {
            throw new Refused("All cues have words already.");
        }
        if (characters == 0) {
            return null;
        }
        if (characters > agreed) {
            String money = terms.pricePerCharacter()
                            .multiply(BigDecimal.valueOf(characters))
                            .setScale(2, RoundingMode.UP)
                            .toPlainString()
                    + " " + terms.currency();
            throw new PriceFirst(
                    "%s: %,d characters, %s at most. What has no translation costs nothing."
                            .formatted(wanted.size() == 1 ? "1 cue" : wanted.size() + " cues", characters, money),
                    characters,
                    money);
        }
        return prices.agreed(pair.version().id(), characters);
    }

    private Optional<String> bought(Wanted one, String from, String to, Ledger.Charged charged, UUID agreement) {
        if (agreement == null) {
            throw new Refused("The words were changed meanwhile. Ask again to see the price.");
        }
        ledger.asked(one.key(), charged, one.characters(), agreement);
        TranslationService.Translated answer;
        try {
            answer = service.translate(one.key(), from, to, one.text(), one.terms());
        } catch (ServiceRefused refused) {
            ledger.refused(one.key());
            throw refused;
        }
        if (answer.text() == null) {
            ledger.refused(one.key());
            return Optional.empty();
        }
        paid.keep(one.key(), answer.text());
        ledger.charged(one.key(), charged, answer.characters());
        return Optional.of(answer.text());
    }

    /** Cues without words; what somebody has written is never written over. */
    private List<Wanted> wanted(Versions.Pair pair, Set<UUID> skipped) {
        List<GlossaryTerm> all = glossary.of(pair.first().id()).stream()
                .map(GlossaryRepository.KeptTerm::term)
                .filter(term -> term.holdsIn(pair.version().language()))
                .toList();
        List<Wanted> wanted = new ArrayList<>();
        for (VersionRow row : table.rows(pair)) {
            if (skipped.contains(row.cue()) || row.state() != VersionRow.State.TO_TRANSLATE) {
                continue;
            }
            List<GlossaryTerm> terms = all.stream()
                    .filter(term -> row.first()
                            .toLowerCase(Locale.ROOT)
                            .contains(term.written().toLowerCase(Locale.ROOT)))
                    .toList();
            wanted.add(new Wanted(
                    row.cue(),
                    row.number(),
                    row.first(),
                    terms,
                    "translation-"
                            + Sha256.hex(pair.first().language() + "\n"
                                    + pair.version().language() + "\n" + row.first() + "\n" + terms)));
        }
        return wanted;
    }
}
