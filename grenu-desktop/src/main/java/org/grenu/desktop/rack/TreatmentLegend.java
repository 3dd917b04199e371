package org.grenu.desktop.rack;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.shape.Rectangle;
import org.grenu.desktop.control.FxColor;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.theme.Theme;
import org.grenu.figures.theme.TreatmentScale;

/** What the colours of the slips mean, in one line. */
final class TreatmentLegend extends HBox {

    /** Where a number has more values, some of them are shown from the first to the last. */
    private static final int MOST_SWATCHES = 9;
    private static final double SWATCHES_WIDTH = 70;

    TreatmentLegend() {
        super(3);
        setMinWidth(0);
        setAlignment(Pos.CENTER_RIGHT);
    }

    /** Shows the levels of that scale. */
    void show(TreatmentScale scale, Theme theme) {
        getChildren().clear();
        if (scale.factor().numeric() && scale.levels().size() > 1) {
            getChildren().add(whole(scale.levels().get(0)));
            scale.levels(MOST_SWATCHES).forEach(level -> getChildren().add(swatch(scale, level, theme)));
            getChildren().add(whole(scale.levels().get(scale.levels().size() - 1)));
        } else {
            scale.levels()
                    .stream()
                    .limit(3)
                    .forEach(level -> getChildren().addAll(swatch(scale, level, theme), word(level)));
        }
    }

    private static Node swatch(TreatmentScale scale, String level, Theme theme) {
        Rectangle swatch = new Rectangle(
                scale.factor().numeric() ? Math.min(18, SWATCHES_WIDTH / scale.levels(MOST_SWATCHES).size()) : 8, 6,
                FxColor.of(scale.color(level, theme)));
        swatch.setArcWidth(2);
        swatch.setArcHeight(2);
        return swatch;
    }

    private static Label whole(String number) {
        Label label = word(number);
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    private static Label word(String text) {
        Label label = new Label(text);
        label.getStyleClass().addAll(Styles.MUTED, Styles.CHIP);
        label.setMaxWidth(95);
        return label;
    }
}
