package org.grenu.desktop.records;

import java.util.ArrayList;
import java.util.List;
import org.grenu.library.BinLoss;
import org.grenu.library.Target;

/** What emptying the bin loses, in words. */
final class BinText {

    private BinText() {
    }

    static String loss(BinLoss loss) {
        List<String> parts = new ArrayList<>();
        loss.things().forEach((target, count) -> {
            parts.add(target.counted(count));
            if (target == Target.SHOT && loss.logs() > 0) {
                parts.add(loss.logs() == count ? "their logs and the files these came from"
                        : loss.logs() + " logs and the files these came from");
            }
        });
        String all = parts.size() < 2 ? String.join("", parts)
                : String.join(", ", parts.subList(0, parts.size() - 1)) + " and " + parts.get(parts.size() - 1);
        return "This loses for good: " + all
                + ", with their history. It cannot be undone; a backup made before keeps them.";
    }
}
