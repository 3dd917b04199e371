package org.grenu.formats;

import java.util.Locale;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;

/** Refuses logs that no shot can have made, whatever file they come from. */
final class LogCheck {

    private static final double LARGEST_VALUE = 1e9;

    private LogCheck() {
    }

    static void check(String name, ShotLog log) throws ImportFailure {
        if (log.size() < 3) {
            throw new ImportFailure(name, 0, "The log has " + log.size() + " samples.", "A shot needs at least three.");
        }
        if (log.channels().values().stream().noneMatch(Samples::hasAny)) {
            throw new ImportFailure(name, 0, "Every channel is empty.", "Check that the logger recorded the shot.");
        }
        for (Channel channel : log.channels().keySet()) {
            Samples samples = log.channels().get(channel);
            if (Math.max(samples.max(), -samples.min()) > LARGEST_VALUE) {
                throw new ImportFailure(name, 0,
                        channel.title() + " holds a value beyond " + (long) LARGEST_VALUE + ".",
                        "Check the column and its unit.");
            }
        }
        double span = log.time().max() - log.time().min();
        if (span > Limits.LONGEST_SHOT_SECONDS) {
            throw new ImportFailure(name, 0,
                    String.format(Locale.ROOT, "The log spans %.0f s, more than three hours.", span),
                    "Check the unit of the time column, or cut the file to one shot.");
        }
        if (!(span > 0)) {
            throw new ImportFailure(name, 0, "All samples have the same time.", "Check the time column.");
        }
    }
}
