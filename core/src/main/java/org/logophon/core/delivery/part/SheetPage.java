package org.logophon.core.delivery.part;

import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.DeliveredClip;
import org.logophon.core.time.programme.Programme.PlacedClip;
import org.logophon.core.time.timecode.Timecode;

/** The cue sheet as a page to print: one HTML file that needs nothing beside it. */
final class SheetPage {

    private static final String HEAD = """
            <!doctype html>
            <html lang="%s"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>%s</title><style>
            body { font: 15px/1.45 Georgia, serif; color: #1d2a33; max-width: 62rem; margin: 2rem auto; padding: 0 1rem; }
            table { border-collapse: collapse; width: 100%%; } th, td { text-align: left; vertical-align: top; padding: .35rem .6rem; }
            th { font: 600 12px sans-serif; border-bottom: 2px solid #1d2a33; } td { border-bottom: 1px solid #cfc8b8; }
            .figures { font: 13px monospace; white-space: nowrap; } .scene td { font-weight: bold; padding-top: 1.2rem; }
            tr { break-inside: avoid; } thead { display: table-header-group; } @media print { body { margin: 0; max-width: none; } }
            </style></head><body><h1>%s</h1><p>%s clips, %s long, from %s at %s frames a second.</p>
            <table><thead><tr><th>Cue</th><th>In</th><th>Out</th><th>Role</th><th>Words</th><th>File</th></tr></thead><tbody>
            """;

    private SheetPage() {}

    static String of(Delivered delivered) {
        String title = escaped(delivered.title());
        StringBuilder page = new StringBuilder(HEAD.formatted(
                escaped(delivered.language()),
                title,
                title,
                delivered.programme().clips().size(),
                Timecode.written(delivered.frameFrom(delivered.programme().length()), delivered.rate()),
                delivered.timecode(0),
                escaped(delivered.rate().label())));
        String scene = "";
        for (PlacedClip<DeliveredClip> placed : delivered.programme().clips()) {
            DeliveredClip clip = placed.cue();
            if (!clip.scene().equals(scene)) {
                scene = clip.scene();
                page.append("<tr class=\"scene\"><td colspan=\"6\">")
                        .append(escaped(scene))
                        .append("</td></tr>\n");
            }
            page.append("<tr><td class=\"figures\">")
                    .append(escaped(clip.number()))
                    .append("</td><td class=\"figures\">")
                    .append(SheetPart.in(delivered, placed))
                    .append("</td><td class=\"figures\">")
                    .append(SheetPart.out(delivered, placed))
                    .append("</td><td>")
                    .append(escaped(clip.role()))
                    .append("</td><td>")
                    .append(escaped(clip.text()))
                    .append("</td><td class=\"figures\">")
                    .append(escaped(clip.file()))
                    .append("</td></tr>\n");
        }
        return page.append("</tbody></table></body></html>\n").toString();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;");
    }
}
