package org.grenu.desktop.plan;

import java.util.List;
import javafx.beans.Observable;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Buttons;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Styles;
import org.grenu.library.ShotSummary;

/** Offers to enter the coffee in the shots that name none, as where a notebook of one coffee was brought. */
final class UnnamedShots extends VBox {

    private final DialInViewModel model;
    private final Label words = new Label();
    private final Button enter;

    UnnamedShots(DialInViewModel model) {
        super(6);
        this.model = model;
        setMaxSize(430, USE_PREF_SIZE);
        setAlignment(Pos.CENTER_LEFT);
        words.setId("unnamed-shots");
        words.setWrapText(true);
        words.getStyleClass().add(Styles.PROSE);
        enter = Buttons.action("name-shots", "", model::nameShots);
        Hint.on(enter, "One step, which Ctrl Z takes back; those of another coffee are edited in the rack");
        enter.managedProperty().bind(enter.visibleProperty());
        getChildren().addAll(words, enter);
        managedProperty().bind(visibleProperty());
        Runnable again = model.desk().turns().of(this::show);
        model.desk().shots().addListener((Observable o) -> again.run());
        model.answeredProperty().addListener((o, was, is) -> show());
        show();
    }

    /** Where there are such shots and none of the coffee. */
    private void show() {
        List<ShotSummary> unnamed = model.unnamed();
        setVisible(!unnamed.isEmpty());
        boolean one = unnamed.size() == 1;
        boolean named = !model.coffeeProperty().get().isEmpty();
        words.setText((one ? "1 shot in this library names no coffee" : unnamed.size()
                + " shots in this library name no coffee")
                + (named ? "." : ": once one is named above, it can be entered "
                        + (one ? "in it." : "in them.")));
        enter.setVisible(named);
        enter.setText("Enter it in " + (one ? "that shot" : "those " + unnamed.size()));
    }
}
