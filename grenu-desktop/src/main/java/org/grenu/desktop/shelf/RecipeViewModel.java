package org.grenu.desktop.shelf;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import org.grenu.core.entry.Entries;
import org.grenu.core.shelf.RecipeCard;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.OpenShot;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.figures.export.FigureExport;
import org.grenu.figures.export.FigureFormat;
import org.grenu.figures.shelf.RecipeFigure;
import org.grenu.figures.shelf.RecipeSheet;
import org.grenu.figures.shelf.ShelfFigures;
import org.grenu.figures.theme.Theme;
import org.grenu.library.AtomicFile;
import org.grenu.library.Change;

/** Recipes made of shots, and shots that start from recipes. */
public final class RecipeViewModel {

    private final StudyDesk desk;
    private final Clock clock;

    /** Recipes of that desk's library. */
    public RecipeViewModel(StudyDesk desk, Clock clock) {
        this.desk = desk;
        this.clock = clock;
    }

    /** {@return the name that the open shot's recipe gets: that it was pulled by, or its coffee with its profile} */
    public String suggestedName() {
        OpenShot open = desk.openProperty().get();
        if (open == null) {
            return "";
        }
        return byRecipe(open).map(ShelfItem::name)
                .orElseGet(
                        () -> open.summary().record().text(RecordField.COFFEE).orElse("Shot " + open.summary().number())
                                + open.summary()
                                        .record()
                                        .text(RecordField.PROFILE)
                                        .map(profile -> ", " + profile.toLowerCase(Locale.ROOT))
                                        .orElse(""));
    }

    private Optional<ShelfItem> byRecipe(OpenShot open) {
        return open.summary()
                .record()
                .text(RecordField.RECIPE)
                .flatMap(name -> desk.shelfProperty().get().find(ShelfKind.RECIPE, name.replaceFirst(" v\\d+$", "")));
    }

    /** Makes the open shot a recipe, or a new version of the one it was pulled by, then shows it. */
    public void promote(Consumer<ShelfItem> then) {
        OpenShot open = desk.openProperty().get();
        if (open == null) {
            return;
        }
        Entries card = card(open);
        String name = suggestedName();
        Optional<ShelfItem> there = desk.shelfProperty().get().find(ShelfKind.RECIPE, name);
        if (there.isEmpty()) {
            desk.onShelf().add(ShelfKind.RECIPE, name, card, then);
            return;
        }
        addVersion(there.get(), card, open.summary().number(), then);
    }

    private Entries card(OpenShot open) {
        return RecipeCard.of(open.summary().number(), open.summary().record(), open.measures(),
                desk.settingsProperty().get().convention());
    }

    private void addVersion(ShelfItem recipe, Entries card, int shot, Consumer<ShelfItem> then) {
        desk.step(
                () -> desk.library()
                        .write(tx -> tx.shelf()
                                .addVersion(recipe.id(), LocalDate.now(clock),
                                        "from shot " + shot,
                                        card.texts())),
                step -> desk.shelfProperty().get().find(recipe.id()).ifPresent(then));
    }

    /** {@return the recipes, by name} */
    public List<ShelfItem> recipes() {
        return desk.shelfProperty().get().of(ShelfKind.RECIPE);
    }

    /** Fills what the open shot leaves open with what the recipe says, as one step. */
    public void start(ShelfItem recipe) {
        OpenShot open = desk.openProperty().get();
        if (open != null) {
            desk.change("Shot " + open.summary().number() + " starts from " + recipe.name(),
                    RecipeCard.start(recipe, recipe.newest(), open.summary().written())
                            .stream()
                            .map(edit -> Change.of(open.summary().id(), edit))
                            .toList(),
                    "");
        }
    }

    /** Saves a version of a recipe as a card to print. */
    void print(Chosen chosen, Path file) {
        RecipeFigure figure = (RecipeFigure) new ShelfFigures(List.of(), Optional.empty(), LocalDate.now(clock),
                desk.units().getValue()).of(chosen.item(), chosen.version());
        desk.background().run(() -> {
            write(file, new RecipeSheet(chosen.item().name(), figure));
            return file;
        }, done -> desk.noticeProperty().set(Notice.done("Saved " + done)), failure -> desk.noticeProperty()
                .set(
                        Notice.failed(
                                file + " could not be written (" + failure.getMessage() + "). Choose another place.")));
    }

    private static void write(Path file, RecipeSheet sheet) throws IOException {
        AtomicFile.replace(file, FigureExport.write(sheet, Theme.LIGHT, FigureFormat.PDF));
    }
}
