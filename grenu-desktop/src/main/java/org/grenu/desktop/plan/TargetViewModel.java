package org.grenu.desktop.plan;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.grenu.app.advice.Advisor;
import org.grenu.core.entry.Entries;
import org.grenu.core.entry.Field;
import org.grenu.core.entry.FieldKind;
import org.grenu.core.recipe.Proposed;
import org.grenu.core.recipe.StartRecipe;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.record.TasteNote;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.desk.Latest;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.desktop.entry.EntryViewModel;
import org.grenu.library.Change;
import org.grenu.library.Target;

/** What is wanted of the coffee that is dialled in: its recipe, and how one is begun. */
public final class TargetViewModel {

    private final DialInViewModel dialIn;
    private final StudyDesk desk;
    private final Latest starting;

    /** The target of that dial-in. */
    public TargetViewModel(DialInViewModel dialIn) {
        this.dialIn = dialIn;
        this.desk = dialIn.desk();
        this.starting = dialIn.another();
    }

    /** {@return the units that the user types and reads in} */
    DisplayUnits units() {
        return desk.units().getValue();
    }

    DialInViewModel dialIn() {
        return dialIn;
    }

    /** {@return the recipe as it is now; empty where there is none yet} */
    Optional<ShelfItem> recipe() {
        return Optional.ofNullable(dialIn.answeredProperty().get())
                .flatMap(answer -> answer.target().recipe())
                .flatMap(item -> desk.shelfProperty().get().find(item.id()));
    }

    /** {@return an editor for an entry of the recipe} */
    EntryViewModel entry(Field field) {
        return new EntryViewModel(dialIn.answeredProperty(), field.title(), () -> shown(field),
                typed -> enter(field, typed)).also(desk.shelfProperty()).in(desk.units(), field.unit());
    }

    /** {@return an editor for the tastes that are wanted, such as “sourness 0–3; sweetness 5–10”} */
    EntryViewModel tastes() {
        Field field = ShelfField.AIM_TASTES;
        return new EntryViewModel(dialIn.answeredProperty(), field.title(),
                () -> entered(field).replaceAll("([\\d.]+) ([\\d.]+)", "$1–$2"),
                typed -> enter(field, meant(typed))).also(desk.shelfProperty());
    }

    /** As it is kept: “sour 0–3” is “sourness 0 3”. */
    private static String meant(String typed) {
        return Arrays.stream(typed.split(";"))
                .map(String::strip)
                .map(row -> Arrays.stream(TasteNote.values())
                        .filter(note -> row.startsWith(note.key() + " "))
                        .findFirst()
                        .map(note -> note.quality() + row.substring(note.key().length()))
                        .orElse(row))
                .collect(Collectors.joining("; "))
                .replaceAll("(\\d)\\s*[–-]\\s*(\\d)", "$1 $2");
    }

    private String entered(Field field) {
        return recipe().flatMap(item -> item.entries().entry(field)).orElse("");
    }

    private String shown(Field field) {
        String text = entered(field);
        return field.kind() == FieldKind.NUMBER ? text.replace('-', '\u2212') : text;
    }

    private boolean enter(Field field, String typed) {
        ShelfItem item = recipe().orElseThrow();
        String before = item.entries().entry(field).orElse("");
        String after = item.entries().with(field, typed).entry(field).orElse("");
        if (!before.equals(after)) {
            desk.change(field.title() + " of " + item.name(),
                    List.of(new Change(Target.VERSION, item.newest().id(), field.key(), before, after)), "");
        }
        return !before.equals(after);
    }

    /** Begins the next version of the recipe; shots pulled by the one before keep it. */
    void nextVersion() {
        recipe().ifPresent(item -> desk.onShelf().addVersion(item, item.nextBegins(dialIn.today()), "changed in Plan"));
    }

    /**
     * Works out what to begin the coffee with, as it is served so, from the newest shots, and hands it over; their
     * curves are read beside the interface.
     */
    void start(String served, Consumer<StartRecipe> then) {
        Advisor advisor = new Advisor(List.copyOf(desk.shots()), shot -> desk.analyses().of(shot).measured(),
                desk.shelfProperty().get(), desk.settingsProperty().get());
        String coffee = dialIn.coffeeProperty().get();
        starting.ask(() -> advisor.start(coffee, served), then, desk::failed);
    }

    /** Puts the recipe on the shelf. */
    void keep(Entries card) {
        desk.onShelf()
                .add(ShelfKind.RECIPE,
                        desk.shelfProperty().get().freeName(ShelfKind.RECIPE, dialIn.coffeeProperty().get()), card,
                        item -> {});
    }

    /** {@return where the recipe's windows are from, in words that are kept with it} */
    static String source(StartRecipe start) {
        return start.of(ShelfField.AIM_TIME_FROM).map(Proposed::because).orElse("")
                + start.of(ShelfField.AIM_YIELD_FROM).map(yield -> "; " + yield.because()).orElse("");
    }
}
