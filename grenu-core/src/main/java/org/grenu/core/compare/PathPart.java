package org.grenu.core.compare;

import org.grenu.core.model.Estimate;
import org.grenu.core.response.Characteristic;
import org.grenu.core.response.CommonSlope;
import org.grenu.core.response.Response;

/**
 * What of an effect may go through something that the change brought about, such as a fuller cup.
 *
 * @param path     what the change moved
 * @param moved    by how much, in its unit
 * @param total    the whole effect, in the response's unit
 * @param through  what of it goes that way, by the data and common practice together
 * @param left     what does not
 * @param practice what common practice holds of that way
 * @param set      whether the path counts as set rather than come about: then what is left is the answer
 */
public record PathPart(Characteristic path, Estimate moved, Estimate total, Estimate through, Estimate left,
        CommonSlope practice, boolean set) {

    private static final double COVERAGE = 1 - Question.ALPHA;

    /**
     * {@return such as "Of the +0.97 ±0.29 points, +0.12 ±0.13 points may go through beverage mass (+0.6 ±0.3 g),
     * +0.85 ±0.32 points do not."}
     */
    public String words(Response response) {
        String unit = response.differenceUnit();
        String by = Wording.small(path.title()) + " (" + with(moved, path.variable().unit()) + ")";
        return set ? "In all " + Wording.within(response.title()) + " came out " + with(total, unit) + " apart, "
                + with(through, unit) + " of it through " + by + ", which moved along: it is taken out, following "
                + practice.words() + " (common practice)."
                : "Of the " + with(total, unit) + ", " + with(through, unit) + " may go through " + by + ", "
                        + with(left, unit) + " do not.";
    }

    private static String with(Estimate estimate, String unit) {
        String text = Wording.reported(estimate.value(), estimate.halfWidth(COVERAGE));
        return ((estimate.value() > 0 ? "+" : "") + text + " " + unit).strip();
    }
}
