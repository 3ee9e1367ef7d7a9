package org.logophon.app.services.hired;

import java.math.BigDecimal;
import java.util.List;
import org.logophon.app.platform.people.Visits;
import org.logophon.app.platform.web.CsvAnswer;
import org.logophon.app.services.hired.Ledger.LedgerEntry;
import org.logophon.core.input.table.SafeCell;
import org.logophon.speech.hired.HiredService.Allowance;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The ledger of hired voices: by month, project and voice. */
@Controller
class LedgerController {

    private static final String[] HEADER = {
        "month", "project", "voice", "characters", "price", "currency", "unsettled_characters"
    };

    private final Ledger ledger;
    private final Prices prices;
    private final HiredAccess access;
    private final Visits visits;

    LedgerController(Ledger ledger, Prices prices, HiredAccess access, Visits visits) {
        this.ledger = ledger;
        this.prices = prices;
        this.access = access;
        this.visits = visits;
    }

    @GetMapping({"/ledger", "/workspaces/{workspace}/ledger"})
    String page(Model model) {
        List<LedgerEntry> lines = ledger.lines(visits.workspace());
        Allowance allowance = prices.allowance();
        model.addAttribute("lines", lines);
        model.addAttribute(
                "characters", lines.stream().mapToLong(LedgerEntry::characters).sum());
        model.addAttribute("price", lines.stream().map(LedgerEntry::price).reduce(BigDecimal.ZERO, BigDecimal::add));
        model.addAttribute("currency", lines.isEmpty() ? "" : lines.get(0).currency());
        model.addAttribute(
                "unsettled", lines.stream().mapToLong(LedgerEntry::unsettled).sum());
        model.addAttribute("allowance", allowance);
        model.addAttribute("hiring", access.service().isPresent());
        return "ledger";
    }

    @GetMapping({"/ledger.csv", "/workspaces/{workspace}/ledger.csv"})
    ResponseEntity<byte[]> csv() {
        return CsvAnswer.of(
                "ledger.csv",
                csv -> {
                    for (LedgerEntry line : ledger.lines(visits.workspace())) {
                        csv.printRecord(
                                line.month(),
                                SafeCell.of(line.project()),
                                SafeCell.of(line.voice()),
                                line.characters(),
                                line.price().toPlainString(),
                                line.currency(),
                                line.unsettled());
                    }
                },
                HEADER);
    }
}
