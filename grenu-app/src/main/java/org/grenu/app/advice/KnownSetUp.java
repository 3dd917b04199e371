package org.grenu.app.advice;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.learn.GrinderDial;
import org.grenu.core.learn.GrinderRange;
import org.grenu.core.learn.Reach;
import org.grenu.core.learn.SettingRange;
import org.grenu.core.learn.Slope;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.shelf.BagStock;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.SiteHeat;

/**
 * What can be set for a coffee's next shot, by what the shelf and the log say of its grinder, basket, machine, site and
 * bag.
 *
 * @param dial    of the grinder
 * @param reach   what can be set
 * @param stock   of the bag that the newest shot came from; empty where it is not on the shelf
 * @param assumed what nobody wrote down
 */
public record KnownSetUp(GrinderDial dial, Reach reach, Optional<BagStock> stock, List<String> assumed) {

    /** Where the grinder's ends are not known, nothing farther off from what was tried is proposed, notches. */
    private static final double FAR = 12;
    /** The smallest sensible move of a grinder without steps, as a share of the range tried (assumed, no source). */
    private static final double STEPLESS_SHARE = 0.1;
    private static final double DOSE_STEP = 0.5;
    static final double BEVERAGE_STEP = 2;
    private static final double TEMPERATURE_STEP = 1;
    private static final double COOLEST = 85;
    private static final double SHORTEST_RATIO = 1;
    private static final double LONGEST_RATIO = 4;
    private static final double USUAL_PURGE = 2;

    public KnownSetUp {
        assumed = List.copyOf(assumed);
    }

    /**
     * {@return what can be set; empty where it is not known what one notch of the grinder is}
     *
     * @param shots  all of the library
     * @param newest the coffee's newest shot on the grinder
     * @param notch  one notch in the dial's numbers, where the user says so
     * @param cup    what the beverage mass may be, g; empty: whatever makes a usual ratio
     */
    public static Optional<KnownSetUp> of(Shelf shelf, List<MeasuredShot> shots, ShotRecord newest,
            OptionalDouble notch, Optional<SettingRange> cup) {
        return new Looking(shelf, shots, newest, cup).found(notch);
    }

    private static final class Looking {

        private final Shelf shelf;
        private final List<MeasuredShot> shots;
        private final List<MeasuredShot> onGrinder;
        private final ShotRecord newest;
        private final Optional<SettingRange> cup;
        private final Optional<ShelfItem> grinder;
        private final List<String> assumed = new ArrayList<>();

        Looking(Shelf shelf, List<MeasuredShot> shots, ShotRecord newest, Optional<SettingRange> cup) {
            this.cup = cup;
            this.shelf = shelf;
            this.shots = shots;
            this.onGrinder = shots.stream()
                    .filter(shot -> shot.record()
                            .text(RecordField.GRINDER)
                            .equals(newest.text(RecordField.GRINDER)))
                    .toList();
            this.newest = newest;
            this.grinder = named(ShelfKind.GRINDER);
        }

        Optional<KnownSetUp> found(OptionalDouble notch) {
            return dial(notch).map(dial -> {
                Optional<BagStock> stock = stock();
                Reach reach = new Reach(grind(dial), others(), purge(),
                        stock.map(BagStock::left).orElse(OptionalDouble.empty()));
                return new KnownSetUp(dial, reach, stock, assumed);
            });
        }

        private Optional<ShelfItem> named(ShelfKind kind) {
            return newest.text(kind.named()).flatMap(name -> shelf.find(kind, name));
        }

        private static OptionalDouble number(Optional<ShelfItem> item, ShelfField field) {
            return item.map(known -> known.entries().number(field)).orElse(OptionalDouble.empty());
        }

        private Optional<GrinderDial> dial(OptionalDouble typed) {
            OptionalDouble finest = number(grinder, ShelfField.FINEST);
            OptionalDouble coarsest = number(grinder, ShelfField.COARSEST);
            boolean ends = finest.isPresent() && coarsest.isPresent();
            if (!ends) {
                assumed.add("a smaller number is finer");
            }
            boolean smaller = !ends || finest.getAsDouble() < coarsest.getAsDouble();
            OptionalDouble step = typed.isPresent() ? typed : number(grinder, ShelfField.STEP);
            if (step.orElse(0) > 0) {
                return Optional.of(new GrinderDial(step.getAsDouble(), smaller));
            }
            return guessedNotch(step.isPresent()).stream()
                    .mapToObj(guess -> new GrinderDial(guess, smaller))
                    .findFirst();
        }

        private OptionalDouble guessedNotch(boolean stepless) {
            double[] settings = settings();
            if (settings.length < 2) {
                return OptionalDouble.empty();
            }
            double least = Double.POSITIVE_INFINITY;
            for (int i = 1; i < settings.length; i++) {
                least = Math.min(least, settings[i] - settings[i - 1]);
            }
            double range = settings[settings.length - 1] - settings[0];
            double guess = stepless ? Math.max(least, STEPLESS_SHARE * range) : least;
            double rounded = Math.rint(guess * 1e6) / 1e6;
            assumed.add("one notch is " + DecimalText.exact(rounded) + (stepless
                    ? ", the smallest move that makes sense on a grinder without steps, from the settings in the log"
                    : ", the smallest difference of the settings in the log"));
            return OptionalDouble.of(rounded);
        }

        /** All settings in the log, in order. */
        private double[] settings() {
            return onGrinder.stream()
                    .map(shot -> shot.record().number(RecordField.GRIND))
                    .filter(OptionalDouble::isPresent)
                    .mapToDouble(OptionalDouble::getAsDouble)
                    .distinct()
                    .sorted()
                    .toArray();
        }

        private GrinderRange grind(GrinderDial dial) {
            OptionalDouble finest = number(grinder, ShelfField.FINEST);
            OptionalDouble coarsest = number(grinder, ShelfField.COARSEST);
            if (finest.isPresent() && coarsest.isPresent()) {
                return dial.range(finest.getAsDouble(), coarsest.getAsDouble());
            }
            assumed.add("the grinder goes at least " + DecimalText.exact(FAR)
                    + " notches beyond what was tried, as its ends are not on the shelf");
            double[] tried = settings();
            double one = dial.finer(tried.length == 0 ? 0 : tried[0]);
            double other = dial.finer(tried.length == 0 ? 0 : tried[tried.length - 1]);
            return new GrinderRange(Math.min(one, other) - FAR, Math.max(one, other) + FAR, 1);
        }

        private Map<Slope, SettingRange> others() {
            Map<Slope, SettingRange> others = new EnumMap<>(Slope.class);
            OptionalDouble dose = newest.number(RecordField.DOSE);
            OptionalDouble from = number(named(ShelfKind.BASKET), ShelfField.CAPACITY_FROM);
            OptionalDouble to = number(named(ShelfKind.BASKET), ShelfField.CAPACITY_TO);
            if (from.isPresent() && to.isPresent() && to.getAsDouble() >= from.getAsDouble()) {
                others.put(Slope.DOSE, new SettingRange(from.getAsDouble(), to.getAsDouble(), DOSE_STEP));
            } else {
                assumed.add("the dose stays, as no basket on the shelf says what it is made for");
            }
            if (cup.isPresent()) {
                others.put(Slope.BEVERAGE, cup.get());
            } else if (dose.orElse(0) > 0) {
                others.put(Slope.BEVERAGE, new SettingRange(SHORTEST_RATIO * dose.getAsDouble(),
                        LONGEST_RATIO * dose.getAsDouble(), BEVERAGE_STEP));
            }
            if (temperatureCanBeSet()) {
                double boiling = boiling();
                others.put(Slope.TEMPERATURE, new SettingRange(COOLEST, boiling, TEMPERATURE_STEP));
            }
            return others;
        }

        /** By what the machine says of itself; else by whether it was done. */
        private boolean temperatureCanBeSet() {
            return named(ShelfKind.MACHINE).flatMap(machine -> machine.entries().text(ShelfField.CONTROLS))
                    .map(words -> words.toLowerCase(Locale.ROOT).contains("temperature"))
                    .orElseGet(this::temperatureWasSet);
        }

        private boolean temperatureWasSet() {
            DoubleSummaryStatistics set = shots.stream()
                    .map(MeasuredShot::record)
                    .filter(record -> record.text(RecordField.MACHINE).equals(newest.text(RecordField.MACHINE)))
                    .flatMapToDouble(record -> record.number(RecordField.TEMPERATURE).stream())
                    .summaryStatistics();
            boolean moved = set.getCount() > 0 && set.getMax() - set.getMin() >= TEMPERATURE_STEP;
            assumed.add(moved ? "the temperature can be set, as the log was at " + DecimalText.exact(set.getMin())
                    + " and " + DecimalText.exact(set.getMax()) + " °C"
                    : "the temperature stays, as no machine on the shelf says that it controls it");
            return moved;
        }

        private double boiling() {
            OptionalDouble altitude = number(named(ShelfKind.SITE), ShelfField.ALTITUDE);
            return SiteHeat.at(altitude.orElse(0)).highestSet();
        }

        private double purge() {
            double[] purges = onGrinder.stream()
                    .map(shot -> shot.record().number(RecordField.PURGE))
                    .filter(purge -> purge.orElse(0) > 0)
                    .mapToDouble(OptionalDouble::getAsDouble)
                    .sorted()
                    .toArray();
            if (purges.length == 0) {
                assumed.add("a change of grind costs a purge of " + DecimalText.exact(USUAL_PURGE) + " g");
                return USUAL_PURGE;
            }
            return purges[purges.length / 2];
        }

        private Optional<BagStock> stock() {
            return named(ShelfKind.BAG).map(bag -> BagStock.of(bag.entries(), shots.stream()
                    .map(MeasuredShot::record)
                    .filter(record -> record.text(RecordField.BAG).filter(bag.name()::equalsIgnoreCase).isPresent())
                    .toList()));
        }
    }
}
