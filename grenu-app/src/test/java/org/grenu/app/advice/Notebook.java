package org.grenu.app.advice;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.curve.TimeConvention;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.learn.Aim;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.Shot;
import org.grenu.core.record.ShotMeasures;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.response.MeasuredShot;
import org.grenu.core.response.StandardResponse;
import org.grenu.core.shelf.Shelf;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.shelf.ShelfVersion;

/**
 * Shots of one coffee as a notebook has them, each pulled ten minutes after the one before, and the shelf beside it. A
 * notch is 0.1, a smaller number is finer; at 2.4, 18 g and 36 g a shot takes 28 s, and a notch does what the handbook
 * says that it does (§17: 0.118 in ln(time), 2.2 with ln(dose), 1 with ln(beverage)).
 */
final class Notebook {

    static final String COFFEE = "Lot Wren 5";
    static final String GRINDER = "G-burr N";

    private final List<MeasuredShot> shots = new ArrayList<>();
    private final List<ShelfItem> items = new ArrayList<>();
    private LocalDateTime moment = LocalDateTime.of(2026, 5, 4, 9, 0);

    /** {@return a shelf entry's card} */
    static Entries card(Object... fieldsAndTexts) {
        Entries card = Entries.NONE;
        for (int i = 0; i < fieldsAndTexts.length; i += 2) {
            card = card.with((Field) fieldsAndTexts[i], (String) fieldsAndTexts[i + 1]);
        }
        return card;
    }

    Notebook onShelf(ShelfKind kind, String name, Entries card) {
        int id = items.size() + 1;
        items.add(new ShelfItem(id, kind, name, List.of(new ShelfVersion(id, 1, Optional.empty(), "", card))));
        return this;
    }

    /** A shot that takes as long as the law says. */
    Notebook pulled(double grind, Object... more) {
        return off(0, grind, more);
    }

    /** A shot that takes longer than the law says, by that much of ln(time), for what is not written down. */
    Notebook off(double unseen, double grind, Object... more) {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.COFFEE, COFFEE)
                .with(RecordField.GRINDER, GRINDER)
                .with(RecordField.GRIND, DecimalText.exact(grind))
                .with(RecordField.DOSE, "18")
                .with(RecordField.BEVERAGE, "36")
                .with(RecordField.PURGE, "3")
                .with(RecordField.PULLED_AT, moment.toString())
                .with(RecordField.PUMP_ON, "0");
        for (int i = 0; i < more.length; i += 2) {
            record = record.with((RecordField) more[i], (String) more[i + 1]);
        }
        double seconds = 28 * Math.exp(1.18 * (2.4 - grind)
                + 2.2 * Math.log(record.number(RecordField.DOSE).orElseThrow() / 18)
                + Math.log(record.number(RecordField.BEVERAGE).orElseThrow() / 36) + unseen);
        if (!record.has(RecordField.PUMP_OFF)) {
            record = record.with(RecordField.PUMP_OFF, DecimalText.exact(Math.rint(10 * seconds) / 10));
        }
        moment = moment.plusMinutes(10);
        Shot shot = new Shot(record, ShotLog.NONE);
        shots.add(new MeasuredShot(Integer.toString(shots.size() + 1), record, ShotMeasures.of(shot)));
        return this;
    }

    Shelf shelf() {
        return new Shelf(items);
    }

    List<MeasuredShot> shots() {
        return List.copyOf(shots);
    }

    ShotRecord newest() {
        return shots.get(shots.size() - 1).record();
    }

    CoffeeAdvice.Outcome advise(Aim aim) {
        return advise(aim, COFFEE, GRINDER);
    }

    CoffeeAdvice.Outcome advise(Aim aim, String coffee, String grinder) {
        return CoffeeAdvice.of(shots(), shelf(), new CoffeeAdvice.Asked(coffee, grinder, aim, OptionalDouble.empty(),
                TimeConvention.PUMP_ON_TO_PUMP_OFF, StandardResponse.tasted(),
                TargetRecipe.of(shelf(), coffee, grinder, List.of())));
    }

    CoffeeAdvice given(Aim aim) {
        return ((CoffeeAdvice.Given) advise(aim)).advice();
    }
}
