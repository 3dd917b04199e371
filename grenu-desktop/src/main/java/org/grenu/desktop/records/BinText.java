package org.grenu.desktop.records;

import java.util.ArrayList;
import java.util.List;
import org.grenu.library.BinLoss;

/** What emptying the bin loses, in words. */
final class BinText {

    private BinText() {
    }

    static String loss(BinLoss loss) {
        List<String> parts = new ArrayList<>();
        add(parts, loss.shots(), "shot", "shots");
        if (loss.logs() > 0) {
            parts.add(loss.logs() == loss.shots() ? "their logs and the files these came from"
                    : loss.logs() + " logs and the files these came from");
        }
        add(parts, loss.attachments(), "photo or other file", "photos and other files");
        add(parts, loss.things(), "thing of the shelf", "things of the shelf");
        add(parts, loss.versions(), "version of a thing", "versions of things");
        String all = parts.size() < 2 ? String.join("", parts)
                : String.join(", ", parts.subList(0, parts.size() - 1)) + " and " + parts.get(parts.size() - 1);
        return "This loses for good: " + all
                + ", with their history. It cannot be undone; a backup made before keeps them.";
    }

    private static void add(List<String> parts, int count, String one, String many) {
        if (count > 0) {
            parts.add(count + " " + (count == 1 ? one : many));
        }
    }
}
