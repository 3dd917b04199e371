package org.grenu.desktop.shelf;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.control.SteadyScroll;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.HistorySection;

/**
 * The column at the right of the Shelf: what is written down about the chosen thing. Built anew only for another
 * thing.
 */
public final class ShelfLedger extends ScrollPane {

    private final ShelfViewModel model;
    private final RecipeViewModel recipes;
    private final StudyViewModel studies;
    private final Function<String, Optional<Path>> askWhere;
    private final VBox column = new VBox();
    private long shown = -1;
    private long shownVersion = -1;

    /**
     * The ledger of that shelf.
     *
     * @param askWhere asks for a place to save a file of that suggested name
     */
    public ShelfLedger(ShelfViewModel model, RecipeViewModel recipes, StudyViewModel studies,
            Function<String, Optional<Path>> askWhere) {
        this.model = model;
        this.recipes = recipes;
        this.studies = studies;
        this.askWhere = askWhere;
        getStyleClass().add(Styles.LEDGER);
        setId("shelf-ledger");
        column.getStyleClass().add(Styles.LEDGER_COLUMN);
        setContent(column);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        SteadyScroll.keep(this, () -> shownVersion);
        model.chosenProperty().addListener((o, was, is) -> show());
        show();
    }

    private void show() {
        Chosen chosen = model.chosenProperty().get();
        if (chosen == null) {
            column.getChildren().clear();
            shown = -1;
            return;
        }
        if (chosen.item().id() == shown && chosen.version().id() == shownVersion) {
            return;
        }
        shown = chosen.item().id();
        shownVersion = chosen.version().id();
        ShelfKind kind = chosen.item().kind();
        List<Node> sections = new ArrayList<>();
        sections.add(new ThingSection(model));
        if (kind == ShelfKind.RECIPE) {
            sections.add(new CardSection(model, recipes, askWhere));
        }
        sections.add(new FieldsSection(model, kind));
        if (kind == ShelfKind.MACHINE) {
            sections.add(new ValveSection(model));
            sections.add(new TranslationSection(model));
        }
        if (kind == ShelfKind.REFRACTOMETER) {
            sections.add(new CalibrationSection(model));
        }
        if (kind == ShelfKind.STUDY) {
            sections.add(new StudySection(studies));
        }
        if (kind == ShelfKind.SITE) {
            sections.add(new HeatSection(model));
        }
        sections.add(new HistorySection(model.history(), "shelf-history"));
        column.getChildren().setAll(sections);
        setVvalue(0);
    }
}
