package org.grenu.core.demo;

import java.util.Random;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;

/** The taster of the demo's dial-in: invented, and not quite steady. */
final class DemoTaster {

    private static final double RIPE = 22;

    private DemoTaster() {
    }

    /**
     * {@return that record with what the shot tasted of: sour where little was extracted, a little less where hotter}
     */
    static ShotRecord tasted(ShotRecord record, double yield, double celsius, long seed) {
        Random random = new Random(31 * seed + 7);
        double sour = 3.6 + 1.6 * (RIPE - yield) - 0.4 * (celsius - 93) + 0.5 * random.nextGaussian();
        double sweet = 5.5 - 1.2 * Math.abs(yield - RIPE) + 0.5 * random.nextGaussian();
        double body = 4.5 + 0.4 * (yield - RIPE) + 0.5 * random.nextGaussian();
        return record
                .with(RecordField.TASTING,
                        "sour " + score(sour) + "; sweet " + score(sweet) + "; body " + score(body))
                .with(RecordField.LIKING, score(sweet + 1 - 0.3 * Math.max(0, sour - 3)))
                .with(RecordField.TASTED_AS, "neat")
                .with(RecordField.TASTED_BLIND, "open")
                .with(RecordField.SERVED, "straight");
    }

    private static int score(double intensity) {
        return (int) Math.max(0, Math.min(10, Math.round(intensity)));
    }
}
