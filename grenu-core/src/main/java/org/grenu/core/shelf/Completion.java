package org.grenu.core.shelf;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.grenu.core.entry.Entries;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.strength.ReadingLine;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;

/**
 * A shot's record joined by what its coffee and gear were on that day. An entry of the record itself always goes
 * first.
 */
final class Completion {

    private final Shelf shelf;
    private final ShotRecord recorded;
    private ShotRecord.Builder builder;

    Completion(Shelf shelf, ShotRecord recorded) {
        this.shelf = shelf;
        this.recorded = recorded;
    }

    ShotRecord completed() {
        version(ShelfKind.BAG).ifPresent(bag -> bag(bag.entries()));
        coffee().ifPresent(coffee -> {
            number(RecordField.MOISTURE, coffee.number(ShelfField.MOISTURE));
            if (!recorded.has(RecordField.MOISTURE)) {
                number(RecordField.MOISTURE_U, coffee.number(ShelfField.MOISTURE_U));
            }
            text(RecordField.ROAST_LEVEL, coffee.text(ShelfField.ROAST_LEVEL));
            text(RecordField.EXPECTED_NOTES, coffee.text(ShelfField.EXPECTED_NOTES));
            text(RecordField.PROCESS, coffee.text(ShelfField.PROCESS));
            number(RecordField.COLOUR_WHOLE, coffee.number(ShelfField.COLOUR_WHOLE));
            number(RecordField.COLOUR_GROUND, coffee.number(ShelfField.COLOUR_GROUND));
            number(RecordField.DENSITY, coffee.number(ShelfField.DENSITY));
        });
        version(ShelfKind.GRINDER)
                .ifPresent(grinder -> grinder(grinder.entries()));
        version(ShelfKind.WATER).ifPresent(water -> {
            number(RecordField.HARDNESS, water.entries().number(ShelfField.HARDNESS));
            number(RecordField.ALKALINITY, water.entries().number(ShelfField.ALKALINITY));
            number(RecordField.BLANK, water.entries().number(ShelfField.BLANK));
        });
        order();
        version(ShelfKind.BASKET).ifPresent(basket -> basket(basket.entries()));
        version(ShelfKind.SCALE).ifPresent(scale -> scale(scale.entries()));
        version(ShelfKind.REFRACTOMETER).ifPresent(instrument -> refractometer(instrument.entries()));
        version(ShelfKind.SITE)
                .ifPresent(site -> number(RecordField.ALTITUDE, site.entries().number(ShelfField.ALTITUDE)));
        version(ShelfKind.PROFILE).ifPresent(
                profile -> text(RecordField.PROFILE_STEPS, profile.entries().entry(RecordField.PROFILE_STEPS)));
        machine();
        return builder == null ? recorded : builder.build();
    }

    private Optional<ShelfVersion> version(ShelfKind kind) {
        return shelf.versionFor(kind, recorded);
    }

    private void bag(Entries bag) {
        text(RecordField.COFFEE, bag.text(ShelfField.BAG_COFFEE));
        BagLife life = shelf.life(bag);
        text(RecordField.ROASTED_ON, life.first(BagEvent.Kind.ROASTED).map(LocalDate::toString));
        recorded.pulledAt().map(LocalDateTime::toLocalDate).ifPresent(day -> {
            long frozen = life.frozenDays(day);
            number(RecordField.FROZEN_DAYS, frozen > 0 ? OptionalDouble.of(frozen) : OptionalDouble.empty());
        });
    }

    private Optional<Entries> coffee() {
        Optional<String> name = recorded.text(RecordField.COFFEE)
                .or(() -> version(ShelfKind.BAG).flatMap(bag -> bag.entries().text(ShelfField.BAG_COFFEE)));
        return name.flatMap(known -> shelf.find(ShelfKind.COFFEE, known)).map(ShelfItem::entries);
    }

    private void basket(Entries basket) {
        OptionalDouble from = basket.number(ShelfField.CAPACITY_FROM);
        OptionalDouble to = basket.number(ShelfField.CAPACITY_TO);
        number(RecordField.BASKET_CAPACITY, from.isPresent() && to.isPresent()
                ? OptionalDouble.of((from.getAsDouble() + to.getAsDouble()) / 2) : from.isPresent() ? from : to);
        number(RecordField.BASKET_FROM, from);
        number(RecordField.BASKET_TO, to);
        number(RecordField.BED_DIAMETER, basket.number(ShelfField.DIAMETER));
        number(RecordField.BED_DEPTH, basket.number(ShelfField.DEPTH));
    }

    private void refractometer(Entries instrument) {
        number(RecordField.REFRACTOMETER_RESOLUTION, instrument.number(ShelfField.READING_STEP));
        number(RecordField.REFRACTOMETER_REPEATABILITY, instrument.number(ShelfField.READING_REPEATABILITY));
        number(RecordField.REFRACTOMETER_BIAS, instrument.number(ShelfField.READING_BIAS));
        number(RecordField.COMPENSATED_FROM, instrument.number(ShelfField.COMPENSATED_FROM));
        number(RecordField.COMPENSATED_TO, instrument.number(ShelfField.COMPENSATED_TO));
        text(RecordField.REFRACTOMETER_READS, instrument.text(ShelfField.READS));
        ReadingLine line = Calibrations.readingLine(instrument);
        if (!line.equals(ReadingLine.STRENGTH)) {
            text(RecordField.REFRACTOMETER_LINE,
                    Optional.of(line.numbers().stream().map(DecimalText::exact).collect(Collectors.joining("; "))));
        }
    }

    /** An order counts as drawn only where every study that the shot belongs to says so. */
    private void order() {
        List<String> said = recorded.studies()
                .stream()
                .map(study -> shelf.find(ShelfKind.STUDY, study)
                        .flatMap(item -> item.entries().entry(ShelfField.ORDER_DRAWN))
                        .orElse(""))
                .distinct()
                .toList();
        text(RecordField.ORDER_DRAWN,
                said.size() == 1 && !said.get(0).isEmpty() ? Optional.of(said.get(0)) : Optional.empty());
    }

    private void grinder(Entries grinder) {
        text(RecordField.BURRS, grinder.text(ShelfField.BURRS));
        number(RecordField.FINEST, grinder.number(ShelfField.FINEST));
        number(RecordField.COARSEST, grinder.number(ShelfField.COARSEST));
        number(RecordField.RETENTION, grinder.number(ShelfField.RETENTION));
    }

    private void scale(Entries scale) {
        CheckWeights checked = shelf.checkWeights(scale, recorded.pulledAt().map(LocalDateTime::toLocalDate));
        number(RecordField.SCALE_RESOLUTION, scale.number(ShelfField.SCALE_STEP));
        OptionalDouble repeatability = scale.number(ShelfField.SCALE_REPEATABILITY);
        number(RecordField.SCALE_REPEATABILITY, repeatability.isPresent() ? repeatability : checked.repeatability());
        number(RecordField.SCALE_BIAS, checked.bias(scale.number(ShelfField.SCALE_BIAS)));
        number(RecordField.SCALE_LAG, scale.number(ShelfField.SCALE_LAG));
    }

    private void machine() {
        version(ShelfKind.MACHINE).ifPresent(machine -> {
            number(RecordField.PRESSURE_AT_REST, machine.entries().number(ShelfField.SENSOR_OFFSET));
            number(RecordField.WARM_UP, machine.entries().number(ShelfField.WARM_UP));
        });
        recorded.text(RecordField.MACHINE)
                .flatMap(name -> shelf.find(ShelfKind.MACHINE, name))
                .filter(item -> item.versions().size() > 1)
                .ifPresent(
                        item -> text(RecordField.MACHINE_VERSION, version(ShelfKind.MACHINE).map(ShelfVersion::label)));
    }

    private void number(RecordField field, OptionalDouble value) {
        if (value.isPresent() && !recorded.has(field)) {
            builder().number(field, value.getAsDouble());
        }
    }

    private void text(RecordField field, Optional<String> value) {
        value.filter(text -> !recorded.has(field)).ifPresent(text -> builder().text(field, text));
    }

    private ShotRecord.Builder builder() {
        builder = builder == null ? new ShotRecord.Builder(recorded) : builder;
        return builder;
    }
}
