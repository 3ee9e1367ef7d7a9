package org.logophon.app.steps.language;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.services.project.Cue;
import org.logophon.app.services.project.CueView;
import org.logophon.app.services.project.ProjectVersions;
import org.logophon.app.services.project.ProjectVersions.Link;
import org.logophon.app.services.project.ProjectView;
import org.logophon.app.services.project.Projects;
import org.logophon.core.review.translation.GlossaryTerm;
import org.logophon.core.review.translation.TranslationCheck;
import org.logophon.core.review.translation.TranslationFinding;
import org.logophon.core.text.script.Slot;
import org.springframework.stereotype.Component;

/** Both languages side by side. */
@Component
class VersionTable {

    private final Projects projects;
    private final ProjectVersions links;
    private final Versions versions;
    private final GlossaryRepository glossary;

    VersionTable(Projects projects, ProjectVersions links, Versions versions, GlossaryRepository glossary) {
        this.projects = projects;
        this.links = links;
        this.versions = versions;
        this.glossary = glossary;
    }

    List<VersionRow> rows(Versions.Pair pair) {
        return rows(pair, projects.view(pair.version()), projects.view(pair.first()));
    }

    /** In the order of the version. */
    List<VersionRow> rows(Versions.Pair pair, ProjectView version, ProjectView first) {
        List<Cue> own = version.cues().stream().map(CueView::cue).toList();
        Map<UUID, CueView> firsts = new HashMap<>();
        first.cues().forEach(cue -> firsts.put(cue.id(), cue));
        Map<UUID, UUID> pairs = versions.paired(
                version.id(), first.cues().stream().map(CueView::cue).toList(), own);
        Map<UUID, Link> known = links.links(version.id());
        List<GlossaryTerm> terms = glossary.of(first.id()).stream()
                .map(GlossaryRepository.KeptTerm::term)
                .toList();
        List<VersionRow> rows = new ArrayList<>();
        for (CueView cue : version.cues()) {
            rows.add(row(pair, cue, firsts.get(pairs.get(cue.id())), known.get(cue.id()), terms));
        }
        return rows;
    }

    private static VersionRow row(Versions.Pair pair, CueView cue, CueView first, Link link, List<GlossaryTerm> terms) {
        String text = cue.cue().text();
        VersionRow.State state = state(cue, first, link);
        List<TranslationFinding> findings = state == VersionRow.State.DONE || state == VersionRow.State.TO_LOOK_AT
                ? TranslationCheck.of(
                        first.cue().text(),
                        pair.first().language(),
                        text,
                        pair.version().language(),
                        terms)
                : List.of();
        Slot slot = cue.cue().slot();
        double against =
                slot != null ? (slot.outMillis() - slot.inMillis()) / 1_000.0 : first == null ? 0 : first.seconds();
        boolean changed = state == VersionRow.State.TO_LOOK_AT
                && link != null
                && !link.text().isEmpty();
        return new VersionRow(
                cue.id(),
                cue.number(),
                cue.cue().role(),
                cue.role() == null ? 0 : cue.role().colour(),
                first == null ? "" : first.cue().text(),
                text,
                state,
                cue.seconds(),
                cue.measured(),
                against,
                slot != null,
                changed ? link.text() : null,
                findings.stream().map(TranslationFinding::sentence).toList());
    }

    private static VersionRow.State state(CueView cue, CueView first, Link link) {
        if (first == null) {
            return VersionRow.State.ALONE;
        }
        // written where nobody said what it stands for, or never touched
        boolean known = link != null && link.first().equals(first.id());
        if (known && link.text() == null
                || !known && cue.cue().text().equals(first.cue().text())) {
            return VersionRow.State.TO_TRANSLATE;
        }
        return known && link.text().equals(first.cue().text()) ? VersionRow.State.DONE : VersionRow.State.TO_LOOK_AT;
    }
}
