package org.grenu.desktop.plan;

import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;

/** The column at the right of Plan: what is wanted, what is left, what is next. */
public final class PlanLedger extends ScrollPane {

    /** The ledger of that dial-in; {@code startRecipe} shows how a recipe is begun. */
    public PlanLedger(DialInViewModel model, TargetViewModel target, NextShotViewModel next, Appearance appearance,
            Runnable startRecipe) {
        setId("plan-ledger");
        getStyleClass().add(Styles.LEDGER);
        VBox column = new VBox(new TargetSection(target, startRecipe), new BagSection(model, appearance),
                new NextShotSection(model, next), new CausesSection(model), new AgeSection(model));
        column.getStyleClass().add(Styles.LEDGER_COLUMN);
        setContent(column);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
    }
}
