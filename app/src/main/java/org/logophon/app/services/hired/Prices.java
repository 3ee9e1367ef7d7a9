package org.logophon.app.services.hired;

import java.math.BigDecimal;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.logophon.app.platform.failure.PriceFirst;
import org.logophon.app.platform.failure.Refused;
import org.logophon.core.voice.render.Recipe;
import org.logophon.core.voice.render.SpeechFailed;
import org.logophon.speech.hired.HiredRequest;
import org.logophon.speech.hired.HiredService.Allowance;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** The prices of renders before they are made, and the agreements to them. */
@Service
public class Prices {

    private static final Logger LOG = LoggerFactory.getLogger(Prices.class);

    private final HiredAccess access;
    private final PaidSpeech paid;
    private final Agreements agreements;

    Prices(HiredAccess access, PaidSpeech paid, Agreements agreements) {
        this.access = access;
        this.paid = paid;
        this.agreements = agreements;
    }

    /**
     * What it would cost to make the speech of these recipes. Asks the service for what is left, unless it costs
     * nothing.
     */
    public Quote quote(Collection<Recipe> recipes) {
        Map<String, HiredRequest> wanted = new LinkedHashMap<>();
        recipes.forEach(recipe -> HiredRequest.of(recipe).forEach(request -> wanted.put(request.key(), request)));
        Set<String> known = paid.among(wanted.keySet());
        wanted.keySet().removeAll(known);
        if (wanted.isEmpty()) {
            return Quote.NOTHING;
        }
        int characters =
                wanted.values().stream().mapToInt(HiredRequest::characters).sum();
        BigDecimal price = wanted.values().stream()
                .map(w -> w.voice().terms().pricePerCharacter().multiply(BigDecimal.valueOf(w.characters())))
                .reduce(BigDecimal.ZERO, BigDecimal::add);
        String currency = wanted.values().iterator().next().voice().terms().currency();
        Allowance allowance = allowance();
        return allowance == null
                ? new Quote(characters, price, currency, null, null, "")
                : new Quote(
                        characters,
                        price,
                        currency,
                        allowance.characters(),
                        allowance.left(),
                        allowance.until().split("T")[0]);
    }

    /** Null while the service doesn't say, or when there is none. */
    Allowance allowance() {
        try {
            return access.service().map(service -> service.allowance()).orElse(null);
        } catch (SpeechFailed away) {
            LOG.warn("The allowance can't be asked: {}", away.getMessage());
            return null;
        }
    }

    /**
     * Lets these recipes be paid for.
     *
     * @param project null for the house
     * @param agreed  characters that somebody has agreed to, after they saw the price
     * @return the agreement to render under; null when nothing needs paying
     * @throws PriceFirst when it costs more than was agreed to: the price has to be shown first
     * @throws Refused    with a sentence when the allowance doesn't reach
     */
    public UUID agree(UUID project, Collection<Recipe> recipes, int agreed) {
        Quote quote = quote(recipes);
        if (quote.free()) {
            return null;
        }
        if (quote.over()) {
            throw new Refused("This costs " + quote.sentence()
                    + " Cast a voice that costs nothing, do less at once, or wait until " + quote.until() + ".");
        }
        if (quote.characters() > agreed) {
            throw new PriceFirst("This costs " + quote.sentence(), quote.characters(), quote.money());
        }
        return agreements.make(project, quote.characters());
    }

    /** Somebody saw what so many characters cost, and agreed. @return the agreement to ask under */
    public UUID agreed(UUID project, int characters) {
        return agreements.make(project, characters);
    }

    /** True for an agreement that was made for this project. */
    public boolean agreedFor(UUID project, UUID agreement) {
        return agreements.isOf(agreement, project);
    }
}
