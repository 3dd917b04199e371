package org.grenu.core.response;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.grenu.core.curve.TimeConvention;

/**
 * The convention by which shots are timed together. The one that is wanted, where all that have any time have it; else
 * the next one that all of them have; else the one that most have. A log of pressure and mass alone does not show the
 * pump's start, and two shots out of ten that happen to have a meter must not answer for all.
 *
 * @param convention taken
 * @param wanted     by the user
 * @param known      shots that have a time by it
 * @param wantedBy   shots that have one by the wanted convention
 * @param timed      shots that have any time
 */
public record CommonConvention(TimeConvention convention, TimeConvention wanted, int known, int wantedBy, int timed) {

    /** {@return the convention for those shots} */
    public static CommonConvention of(TimeConvention wanted, List<MeasuredShot> shots) {
        List<MeasuredShot> timed = shots.stream()
                .filter(shot -> List.of(TimeConvention.values()).stream().anyMatch(one -> has(shot, one)))
                .toList();
        List<TimeConvention> order = new ArrayList<>(List.of(TimeConvention.values()));
        order.sort(Comparator.comparingInt((TimeConvention one) -> one == wanted ? 0 : one.endsLike(wanted) ? 1 : 2)
                .thenComparingInt(TimeConvention::startsLate));
        TimeConvention best = wanted;
        for (TimeConvention one : order) {
            best = count(one, timed) > count(best, timed) ? one : best;
        }
        return new CommonConvention(best, wanted, count(best, timed), count(wanted, timed), timed.size());
    }

    private static boolean has(MeasuredShot shot, TimeConvention convention) {
        return convention.of(shot.measures().curve().times()).isPresent();
    }

    private static int count(TimeConvention convention, List<MeasuredShot> shots) {
        return (int) shots.stream().filter(shot -> has(shot, convention)).count();
    }

    /** {@return the response by it} */
    public StandardResponse response() {
        return StandardResponse.time(convention);
    }

    /** {@return whether it is another than the wanted one} */
    public boolean changed() {
        return convention != wanted;
    }

    /**
     * {@return such as "Times are counted from first pressure to pump off: 2 of 10 shots show pump on to pump off."}
     */
    public String words() {
        return "Times are counted from " + convention.title() + ": " + wantedBy + " of " + timed
                + (timed == 1 ? " shot shows " : " shots show ") + wanted.title() + ", " + known + " show this.";
    }
}
