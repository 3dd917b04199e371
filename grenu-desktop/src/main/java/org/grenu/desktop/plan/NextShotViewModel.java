package org.grenu.desktop.plan;

import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import org.grenu.app.advice.CoffeeAdvice;
import org.grenu.app.advice.SchoolAnswers;
import org.grenu.app.advice.UsualGear;
import org.grenu.core.diagnosis.SchoolMove;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.core.learn.ShotInputs;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.RecordField;
import org.grenu.core.record.SetUp;
import org.grenu.core.record.ShotRecord;
import org.grenu.core.record.ShotState;
import org.grenu.core.shelf.RecipeCard;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;
import org.grenu.library.Target;

/** The next rung as it is going to be pulled, and written down once it was. */
public final class NextShotViewModel {

    /** What is typed of a shot, in the order of the fields. */
    static final List<RecordField> TYPED = List.of(RecordField.GRIND, RecordField.PURGE, RecordField.DOSE,
            RecordField.TEMPERATURE, RecordField.PROFILE, RecordField.BEVERAGE, RecordField.PUMP_OFF,
            RecordField.READINGS, RecordField.TASTING);

    /** What was done of that before says nothing of this shot. */
    private static final List<RecordField> NOT_TAKEN_OVER = List.of(RecordField.PURGE, RecordField.PROFILE);

    private final DialInViewModel dialIn;
    private final StudyDesk desk;
    private final Clock clock;
    /** Named for a coffee without a shot; empty: the usual one. */
    private String grinder = "";
    private final ReadOnlyObjectWrapper<ShotInputs> used = new ReadOnlyObjectWrapper<>();

    /** The next rung of that dial-in; a new shot is of now. */
    public NextShotViewModel(DialInViewModel dialIn, Clock clock) {
        this.dialIn = dialIn;
        this.desk = dialIn.desk();
        this.clock = clock;
        dialIn.answeredProperty().addListener((o, was, is) -> used.set(null));
    }

    /** {@return what a lever that was chosen by hand makes of the next shot; null while what is proposed stands} */
    ReadOnlyObjectProperty<ShotInputs> usedProperty() {
        return used.getReadOnlyProperty();
    }

    private Optional<CoffeeAdvice> given() {
        return Optional.ofNullable(dialIn.answeredProperty().get()).flatMap(DialInAnswer::given);
    }

    private Optional<ShotInputs> planned() {
        return Optional.ofNullable(used.get()).or(() -> given().map(given -> given.advice().next().inputs()));
    }

    /** Moves one lever of what was pulled last, and nothing else. */
    void use(SchoolMove move) {
        given().ifPresent(given -> {
            ShotInputs held = given.advice().held();
            used.set(held.with(move.lever(), held.setting(move.lever()) + move.by()));
        });
    }

    /** {@return what stands in that field before anything is typed} */
    String prefilled(RecordField field) {
        Optional<ShotInputs> planned = planned();
        if (planned.isEmpty()) {
            return recipe().map(ShelfItem::entries)
                    .flatMap(card -> card.entry(asMeant(field)))
                    .map(entry -> units().shown(field.unit(), entry))
                    .orElse("");
        }
        ShotInputs inputs = planned.get();
        return switch (field) {
            case GRIND ->
                    given().map(given -> DecimalText.exact(given.setUp().dial().number(inputs.finer()))).orElse("");
            case DOSE -> rounded(inputs.dose());
            case TEMPERATURE -> units().shown("°C", rounded(inputs.celsius()));
            case PURGE -> given().map(given -> given.purge(inputs))
                    .filter(grams -> grams > 0)
                    .map(NextShotViewModel::rounded)
                    .orElse("");
            case PROFILE -> given().map(CoffeeAdvice::profile).orElse("");
            default -> "";
        };
    }

    /** {@return the units that the user types and reads in} */
    DisplayUnits units() {
        return desk.units().getValue();
    }

    private static RecordField asMeant(RecordField field) {
        return field == RecordField.DOSE ? RecordField.DOSE_TARGET : field;
    }

    private static String rounded(double number) {
        return DecimalText.exact(Math.rint(number * 10) / 10);
    }

    private Optional<ShelfItem> recipe() {
        return Optional.ofNullable(dialIn.answeredProperty().get()).flatMap(answer -> answer.target().recipe());
    }

    /**
     * Writes the shot down as pulled now, with the set-up of the one before or of the recipe.
     *
     * @param typed in the order of {@link #TYPED}; empty is unknown
     * @throws RefusedEntry if one of them is not possible; nothing is written
     */
    void write(List<String> typed) {
        ShotRecord record = setUp().with(RecordField.PULLED_AT,
                LocalDateTime.now(clock).truncatedTo(ChronoUnit.MINUTES).toString());
        record = meant(record);
        for (int i = 0; i < TYPED.size(); i++) {
            if (typed.get(i).isBlank() && NOT_TAKEN_OVER.contains(TYPED.get(i))) {
                record = record.with(TYPED.get(i), "");
            }
            if (TYPED.get(i) == RecordField.PROFILE
                    && !typed.get(i).strip().equals(record.text(RecordField.PROFILE).orElse(""))) {
                // The steps are those of the profile before.
                record = record.with(RecordField.PROFILE_STEPS, "");
            }
            if (!typed.get(i).isBlank()) {
                record = record.with(TYPED.get(i), units().meant(TYPED.get(i).unit(), typed.get(i)));
            }
        }
        if (record.has(RecordField.PUMP_OFF)) {
            record = record.with(RecordField.PUMP_ON, "0");
        }
        ShotRecord pulled = record;
        desk.step(() -> desk.library().write(tx -> tx.shots().write(pulled, ShotState.RECORDED, 0)),
                step -> desk.select(step.shot().id()));
    }

    /** With what dose and beverage mass were meant to be, so that the next shot is held like that. */
    private ShotRecord meant(ShotRecord record) {
        return planned()
                .map(inputs -> record.with(RecordField.DOSE_TARGET, rounded(inputs.dose()))
                        .with(RecordField.BEVERAGE_TARGET, rounded(inputs.beverage())))
                .orElse(record);
    }

    /** What usually stays from shot to shot, of the newest rung or else of the recipe and the usual gear. */
    private ShotRecord setUp() {
        ShotRecord record = ShotRecord.EMPTY.with(RecordField.COFFEE, dialIn.coffeeProperty().get());
        Optional<ShotRecord> before = newestRung();
        if (before.isPresent()) {
            for (RecordEdit edit : SetUp.takenOver(written(before.get()), record)) {
                record = edit.apply(record);
            }
            return record;
        }
        if (recipe().isPresent()) {
            for (RecordEdit edit : RecipeCard.start(recipe().get(), recipe().get().newest(), record)) {
                record = edit.apply(record);
            }
        }
        for (RecordEdit edit : SetUp.takenOver(gear(), record)) {
            record = edit.apply(record);
        }
        return record;
    }

    private Optional<ShotRecord> newestRung() {
        return given().flatMap(given -> given.advice().ladder().newest(given.setUp().dial()))
                .map(rung -> rung.shot().record())
                .or(() -> desk.shots()
                        .stream()
                        .map(ShotSummary::record)
                        .filter(record -> record.text(RecordField.COFFEE)
                                .filter(dialIn.coffeeProperty().get()::equals)
                                .isPresent())
                        .reduce((first, second) -> second));
    }

    private ShotRecord gear() {
        ShotRecord usual = UsualGear.of(desk.shots().stream().map(ShotSummary::written).toList(),
                desk.shelfProperty().get(), dialIn.coffeeProperty().get());
        return grinder.isEmpty() ? usual : usual.with(RecordField.GRINDER, grinder);
    }

    /** {@return the grinder that the next shot will be ground on; empty where nobody has said} */
    String grinder() {
        return newestRung().flatMap(record -> record.text(RecordField.GRINDER))
                .or(() -> gear().text(RecordField.GRINDER))
                .orElse("");
    }

    /**
     * {@return whether a notch of the grinder must be told before the next shot can be proposed: neither the shelf nor
     * the log tells it}
     */
    boolean wantsGrinder() {
        DialInAnswer answer = dialIn.answeredProperty().get();
        return answer != null && answer.given().isEmpty() && desk.shelfProperty()
                .get()
                .find(ShelfKind.GRINDER, grinder())
                .flatMap(item -> item.entries().number(ShelfField.STEP).stream().boxed().findFirst())
                .isEmpty();
    }

    /**
     * Keeps what one notch of a grinder is, on the shelf, and that the coffee's shots without a grinder were ground on
     * it.
     *
     * @throws RefusedEntry if a name or a number is not possible; nothing is kept
     */
    void keepGrinder(String name, String notch) {
        if (name.isBlank()) {
            throw new RefusedEntry("Name the grinder.");
        }
        Entries entries = Entries.NONE.with(ShelfField.STEP, notch);
        grinder = name.strip();
        Optional<ShelfItem> known = desk.shelfProperty().get().find(ShelfKind.GRINDER, grinder);
        List<Change> changes = new ArrayList<>();
        desk.shots()
                .stream()
                .filter(shot -> shot.written()
                        .text(RecordField.COFFEE)
                        .filter(dialIn.coffeeProperty().get()::equals)
                        .isPresent() && !shot.written().has(RecordField.GRINDER))
                .forEach(shot -> changes.add(Change.of(shot.id(),
                        new RecordEdit(RecordField.GRINDER.key(), "", grinder))));
        if (known.isPresent()) {
            changes.add(new Change(Target.VERSION, known.get().newest().id(), ShelfField.STEP.key(),
                    known.get().entries().entry(ShelfField.STEP).orElse(""),
                    entries.entry(ShelfField.STEP).orElse("")));
            desk.change("One notch of " + grinder, changes, "");
        } else {
            desk.onShelf()
                    .add(ShelfKind.GRINDER, grinder, entries,
                            item -> desk.change("Ground on " + grinder, changes, ""));
        }
    }

    /** As it was written: what the shelf tells is not to be written again. */
    private ShotRecord written(ShotRecord completed) {
        return desk.shots()
                .stream()
                .filter(shot -> shot.record().equals(completed))
                .map(ShotSummary::written)
                .findFirst()
                .orElse(completed);
    }

    /** Keeps a small study whose arms are the first levers of the schools that disagree. */
    void testBoth(SchoolAnswers answers) {
        List<String> arms = new ArrayList<>();
        answers.answers().forEach(answer -> arms.add(answer.levers().get(0).move().words()));
        String name = desk.shelfProperty()
                .get()
                .freeName(ShelfKind.STUDY, "Two schools on " + answers.note().quality() + ", "
                        + dialIn.coffeeProperty().get());
        Entries study = Entries.NONE
                .with(ShelfField.QUESTION,
                        "What makes it less " + answers.note().key() + ": " + String.join(" or ", arms)
                                + "? Pulled in turns, tasted blind.")
                .with(ShelfField.ORDER_DRAWN, "yes")
                .with(ShelfField.ARMS, String.join("; ", arms.stream().distinct().toList()));
        desk.onShelf()
                .add(ShelfKind.STUDY, name, study, item -> desk.noticeProperty()
                        .set(Notice.done("“" + name + "” is on the shelf with " + arms.size()
                                + " arms. Name it and the arm in each shot; two shots an arm are the least.")));
    }
}
