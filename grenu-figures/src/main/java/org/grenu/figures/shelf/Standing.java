package org.grenu.figures.shelf;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.diagnosis.RestWindow;
import org.grenu.core.entry.Entries;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;

/**
 * A version of a thing on the shelf among all shots: what its figure is made of.
 *
 * @param shots of the whole library, in the order of their numbers
 * @param rest  days of rest that the chosen school asks for
 * @param today the day it is
 * @param units of temperatures and pressures
 */
record Standing(ShelfItem item, ShelfVersion version, List<ShelfShot> shots, Optional<RestWindow> rest, LocalDate today,
        DisplayUnits units) {

    Entries entries() {
        return version.entries();
    }

    OptionalDouble number(ShelfField field) {
        return entries().number(field);
    }

    String words(ShelfField field) {
        return entries().text(field).orElse("");
    }

    /** {@return the number with its unit; empty where it is unknown} */
    Optional<String> shown(ShelfField field) {
        return entries().entry(field)
                .map(text -> (units.shown(field.unit(), text) + " " + units.symbol(field.unit())).replace('-',
                        '\u2212'));
    }

    /** {@return the records of the shots that name the thing} */
    List<ShotRecord> used() {
        return shots.stream().map(ShelfShot::record).filter(this::names).toList();
    }

    /** {@return those shots' numbers in that entry} */
    List<Double> used(RecordField field) {
        return used().stream().flatMap(record -> record.number(field).stream().boxed()).toList();
    }

    private boolean names(ShotRecord record) {
        return item.kind() == ShelfKind.STUDY ? record.studies().contains(item.name())
                : record.text(item.kind().named())
                        .filter(name -> name.strip().equalsIgnoreCase(item.name()))
                        .isPresent();
    }
}
