package org.grenu.app.advice;

import java.util.List;
import java.util.Optional;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;

/** On what a coffee's next shot will be pulled, unless somebody says otherwise. */
public final class UsualGear {

    private static final List<RecordField> GEAR = List.of(RecordField.BAG, RecordField.GRINDER, RecordField.BASKET,
            RecordField.MACHINE, RecordField.WATER, RecordField.SITE, RecordField.SCALE, RecordField.REFRACTOMETER);

    private UsualGear() {
    }

    /**
     * {@return the gear of the coffee's newest shot, else of the library's, else the only one of its sort on the shelf}
     *
     * @param written records of the library's shots, in the order of their numbers
     */
    public static ShotRecord of(List<ShotRecord> written, Shelf shelf, String coffee) {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.COFFEE, coffee);
        for (RecordField field : GEAR) {
            Optional<String> name = newest(written, field, Optional.of(coffee))
                    .or(() -> field == RecordField.BAG ? Optional.empty() : newest(written, field, Optional.empty()))
                    .or(() -> onlyOne(shelf, field, coffee));
            if (name.isPresent()) {
                record = record.with(field, name.get());
            }
        }
        return record;
    }

    private static Optional<String> newest(List<ShotRecord> written, RecordField field, Optional<String> coffee) {
        return written.stream()
                .filter(record -> coffee.isEmpty() || record.text(RecordField.COFFEE).equals(coffee))
                .flatMap(record -> record.text(field).stream())
                .reduce((first, second) -> second);
    }

    private static Optional<String> onlyOne(Shelf shelf, RecordField field, String coffee) {
        List<ShelfItem> items = ShelfKind.of(field).map(shelf::of).orElse(List.of());
        List<ShelfItem> fitting = items.stream()
                .filter(item -> field != RecordField.BAG
                        || item.entries().text(ShelfField.BAG_COFFEE).filter(coffee::equalsIgnoreCase).isPresent())
                .toList();
        return fitting.size() == 1 ? Optional.of(fitting.get(0).name()) : Optional.empty();
    }
}
