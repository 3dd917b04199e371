package org.grenu.desktop.compare;

import javafx.scene.control.ScrollPane;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Appearance;

/** The column beside a comparison: the answer in words, and what it rests on. */
public final class AnswerLedger extends ScrollPane {

    /** The ledger of that model. */
    public AnswerLedger(CompareViewModel model, Appearance appearance) {
        getStyleClass().add(Styles.LEDGER);
        setId("answer-ledger");
        VBox column = new VBox(new SentenceSection(model), new BalanceSection(model),
                new ResidualSection(model, appearance), new SpreadSection(model),
                new ModelSection(model), new NextShotsSection(model));
        column.getStyleClass().add(Styles.LEDGER_COLUMN);
        column.visibleProperty().bind(model.answeredProperty().isNotNull());
        Outdated.fade(model, column);
        setContent(column);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        setFocusTraversable(false);
    }
}
