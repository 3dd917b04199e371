package org.grenu.desktop.compare;

import java.util.function.Consumer;
import javafx.scene.control.Label;
import org.grenu.core.compare.Comparison;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/** A part of the answer's ledger that shows itself anew with every answer. */
abstract class AnswerSection extends Section {

    AnswerSection(String heading, CompareViewModel model) {
        super(heading);
        Consumer<Answered> tell = answered -> {
            if (answered != null) {
                show(answered.comparison());
            }
        };
        model.answeredProperty().addListener((o, was, is) -> tell.accept(is));
    }

    abstract void show(Comparison comparison);

    static Label prose(String words) {
        Label label = new Label(words);
        label.setWrapText(true);
        label.setMinHeight(USE_PREF_SIZE);
        return label;
    }

    static Label remark(String words) {
        Label label = prose(words);
        label.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        return label;
    }

    /** Takes the content of the last answer away. */
    void clear() {
        getChildren().subList(1, getChildren().size()).clear();
    }
}
