package org.grenu.core.shelf;

import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.grenu.core.entry.Entries;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;

/**
 * What became of a bag's coffee: net mass = doses + purges + waste + portions taken out + what is left.
 *
 * @param net g, when known
 * @param taken where the coffee went, g
 * @param shots pulled from it
 * @param withoutDose of those, how many have no dose written down: they make the rest look larger than it is
 * @param usualDose median of dose and purge together, g; empty without a dose
 */
public record BagStock(OptionalDouble net, Taken taken, int shots, int withoutDose, OptionalDouble usualDose) {

    /**
     * Where the coffee went, g.
     *
     * @param doses g ground for shots
     * @param purges g purged
     * @param waste g thrown away
     * @param portioned g taken out into other bags
     */
    public record Taken(double doses, double purges, double waste, double portioned) {
    }

    /** {@return g ground for shots} */
    public double doses() {
        return taken.doses;
    }

    /** {@return g purged} */
    public double purges() {
        return taken.purges;
    }

    /** {@return g thrown away} */
    public double waste() {
        return taken.waste;
    }

    /** {@return g taken out into other bags} */
    public double portioned() {
        return taken.portioned;
    }

    /** {@return the stock of that bag after those shots from it} */
    public static BagStock of(Entries bag, List<ShotRecord> shots) {
        double doses = shots.stream().mapToDouble(shot -> shot.number(RecordField.DOSE).orElse(0)).sum();
        double purges = shots.stream().mapToDouble(shot -> shot.number(RecordField.PURGE).orElse(0)).sum();
        double waste = bag.rows(ShelfField.WASTE).stream().mapToDouble(row -> row.needed(1)).sum();
        double portioned = portioned(bag);
        int without = (int) shots.stream().filter(shot -> !shot.has(RecordField.DOSE)).count();
        OptionalDouble usual = usual(shots);
        return new BagStock(bag.number(ShelfField.NET_MASS), new Taken(doses, purges, waste, portioned), shots.size(),
                without,
                usual);
    }

    private static double portioned(Entries bag) {
        return BagLife.of(bag)
                .events()
                .stream()
                .filter(event -> event.kind() == BagEvent.Kind.PORTIONED)
                .mapToDouble(event -> event.grams().orElse(0))
                .sum();
    }

    private static OptionalDouble usual(List<ShotRecord> shots) {
        double[] each = shots.stream()
                .filter(shot -> shot.has(RecordField.DOSE))
                .mapToDouble(
                        shot -> shot.number(RecordField.DOSE).orElseThrow() + shot.number(RecordField.PURGE).orElse(0))
                .sorted()
                .toArray();
        return each.length == 0 ? OptionalDouble.empty()
                : OptionalDouble.of((each[(each.length - 1) / 2] + each[each.length / 2]) / 2);
    }

    /** {@return what is left, g, never less than nothing; empty when the net mass is unknown} */
    public OptionalDouble left() {
        return net.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(Math.max(0, net.getAsDouble() - gone()));
    }

    /** {@return what was taken out in any way, g} */
    public double gone() {
        return taken.doses + taken.purges + taken.waste + taken.portioned;
    }

    /** {@return whether more was taken out than was in it} */
    public boolean overdrawn() {
        return net.isPresent() && gone() > net.getAsDouble() + 0.05;
    }

    /** {@return how many usual doses with their purges are left; empty when the net mass or the dose is unknown} */
    public OptionalInt dosesLeft() {
        return left().isEmpty() || usualDose.isEmpty() ? OptionalInt.empty()
                : OptionalInt.of((int) Math.floor(left().getAsDouble() / usualDose.getAsDouble() + 1e-9));
    }
}
