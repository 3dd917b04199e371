package org.grenu.core.compare;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.RunOrder;
import org.grenu.core.response.Variable;

/**
 * Grounds of the setting before in shots that were pulled right after a change of the grind, on the same grinder and
 * day, without a purge that is known to have cleared them. Their share is what the grinder keeps, less the purge, over
 * the dose; where nobody knows what it keeps, 20 ± 20 % (assumed, no source).
 *
 * @param shots names of those shots in their order, each with what it holds
 */
record CarryOver(Map<String, Carried> shots) {

    static final CarryOver NONE = new CarryOver(Map.of());

    /** A known retention is known to half of itself (assumed). */
    private static final double KNOWN_TO = 0.5;
    private static final double ASSUMED = 0.2;
    private static final double ASSUMED_TO = 0.2;
    private static final double USUAL_DOSE = 18;
    private static final double LEAST_SHARE = 0.005;

    /**
     * What one shot holds of the setting before.
     *
     * @param before    that setting
     * @param share     of its grounds, in (0, 1)
     * @param deviation standard deviation of that
     * @param known     whether the grinder's retention is known
     */
    record Carried(double before, double share, double deviation, boolean known) {
    }

    static CarryOver among(List<MeasuredShot> all) {
        Map<String, Carried> found = new LinkedHashMap<>();
        Map<String, OptionalDouble> last = new LinkedHashMap<>();
        for (MeasuredShot shot : RunOrder.inOrder(all)) {
            String grinder = RunOrder.session(shot) + shot.record().text(RecordField.GRINDER).orElse("");
            OptionalDouble grind = shot.record().number(RecordField.GRIND);
            OptionalDouble before = last.put(grinder, grind);
            if (before != null && before.isPresent() && grind.isPresent()
                    && before.getAsDouble() != grind.getAsDouble()) {
                carried(shot, before.getAsDouble()).ifPresent(carried -> found.put(shot.name(), carried));
            }
        }
        return new CarryOver(found);
    }

    private static Optional<Carried> carried(MeasuredShot shot, double before) {
        OptionalDouble keeps = shot.record().number(RecordField.RETENTION);
        OptionalDouble purge = shot.record().number(RecordField.PURGE);
        double dose = shot.measures().masses().dose().map(mass -> mass.value()).orElse(USUAL_DOSE);
        if (keeps.isEmpty()) {
            return purge.orElse(0) > 0 ? Optional.empty()
                    : Optional.of(new Carried(before, ASSUMED, ASSUMED_TO, false));
        }
        double share = Math.min(1, Math.max(0, keeps.getAsDouble() - purge.orElse(0)) / dose);
        return share > LEAST_SHARE ? Optional.of(new Carried(before, share, KNOWN_TO * share, true))
                : Optional.empty();
    }

    boolean none() {
        return shots.isEmpty();
    }

    /** {@return the setting that the shot's grounds had on average} */
    double effective(MeasuredShot shot, double setting) {
        Carried carried = shots.get(shot.name());
        return carried == null ? setting : setting + carried.share * (carried.before - setting);
    }

    /** {@return how far the setting before lay from each shot's own, 0 where nothing was carried over} */
    Variable change(List<MeasuredShot> all) {
        Map<String, String> places = new LinkedHashMap<>();
        for (MeasuredShot shot : all) {
            Carried carried = shots.get(shot.name());
            double own = shot.record().number(RecordField.GRIND).orElse(0);
            places.put(shot.name(), DecimalText.exact(carried == null ? 0 : carried.before - own));
        }
        return new Variable.Placed("grind_before", "Grind before", true, places);
    }

    /** {@return the mean share of old grounds in those shots} */
    double share() {
        return shots.values().stream().mapToDouble(Carried::share).average().orElse(0);
    }

    /** {@return the mean standard deviation of that} */
    double deviation() {
        return shots.values().stream().mapToDouble(Carried::deviation).average().orElse(0);
    }

    /** {@return whether the grinder's retention is known for all of them} */
    boolean known() {
        return shots.values().stream().allMatch(Carried::known);
    }
}
