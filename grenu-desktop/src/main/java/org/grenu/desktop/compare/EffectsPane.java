package org.grenu.desktop.compare;

import java.util.List;
import java.util.Optional;
import javafx.beans.value.ObservableValue;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import org.grenu.core.compare.Effect;
import org.grenu.desktop.control.PlaceKey;
import org.grenu.desktop.control.FigureImage;
import org.grenu.desktop.control.Styles;
import org.grenu.figures.compare.EffectPanel;
import org.grenu.figures.compare.EffectPanelPainter;
import org.grenu.figures.theme.Theme;

/** What each change did, on screen: numbers of a cell on hover and by the arrow keys. */
final class EffectsPane extends Region {

    private static final double SIDE = 12;

    private final CompareViewModel model;
    private final ObservableValue<Theme> theme;
    private final FigureImage image = new FigureImage();
    private final Region ring = new Region();
    private final Tooltip numbers = new Tooltip();
    private EffectPanel panel;
    private int column;
    private int row;

    EffectsPane(CompareViewModel model, ObservableValue<Theme> theme) {
        this.model = model;
        this.theme = theme;
        setId("effects");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.TABLE_VIEW);
        ring.getStyleClass().add(Styles.CELL_RING);
        ring.setManaged(false);
        ring.setMouseTransparent(true);
        ring.setVisible(false);
        getChildren().addAll(image, ring);
        model.answeredProperty().addListener((o, was, is) -> repaint());
        theme.addListener((o, was, is) -> repaint());
        widthProperty().addListener((o, was, is) -> repaint());
        focusedProperty().addListener((o, was, is) -> point());
        setOnMouseMoved(
                event -> EffectPanelPainter.cellAt(panel(), getWidth() - 2 * SIDE, event.getX() - SIDE, event.getY())
                        .flatMap(cell -> effect(cell[0], cell[1]))
                        .ifPresentOrElse(this::describe, () -> Tooltip.uninstall(this, numbers)));
        setOnMousePressed(event -> {
            requestFocus();
            EffectPanelPainter.cellAt(panel(), getWidth() - 2 * SIDE, event.getX() - SIDE, event.getY())
                    .ifPresent(cell -> {
                        column = cell[0];
                        row = cell[1];
                        point();
                    });
        });
        setOnKeyPressed(this::key);
    }

    private EffectPanel panel() {
        return panel == null ? new EffectPanel(List.of(), List.of()) : panel;
    }

    private Optional<Effect> effect(int column, int row) {
        return panel == null || row >= panel.rows().size() || column >= panel.columns().size() ? Optional.empty()
                : panel.rows().get(row).cells().get(column);
    }

    private void describe(Effect effect) {
        numbers.setText(EffectText.of(effect));
        Tooltip.install(this, numbers);
    }

    private void key(KeyEvent event) {
        if (!PlaceKey.EFFECTS.is(event)) {
            return;
        }
        int by = PlaceKey.direction(event);
        if (event.getCode() == KeyCode.LEFT || event.getCode() == KeyCode.RIGHT) {
            column = Math.max(0, Math.min(panel().columns().size() - 1, column + by));
        } else {
            row = Math.max(0, Math.min(panel().rows().size() - 1, row + by));
        }
        point();
        event.consume();
    }

    private void point() {
        boolean shown = isFocused() && effect(column, row).isPresent();
        ring.setVisible(shown);
        if (shown) {
            var cell = EffectPanelPainter.cell(panel, getWidth() - 2 * SIDE, column, row);
            ring.resizeRelocate(SIDE + cell.getX() + 1, cell.getY() - 1, cell.getWidth() - 2, cell.getHeight() - 5);
            String words = EffectText.of(effect(column, row).orElseThrow());
            setAccessibleText(words);
            model.numbersProperty().set(words.replace('\n', ' '));
        } else {
            model.numbersProperty().set("");
        }
    }

    private void repaint() {
        panel = model.answeredProperty().get() == null ? null
                : EffectPanel.of(model.answeredProperty().get().comparison());
        if (panel == null || panel.rows().isEmpty() || getWidth() < 2) {
            image.clear();
            setPrefHeight(0);
            return;
        }
        setMinHeight(panel.height());
        setPrefHeight(panel.height());
        paint(panel);
        point();
    }

    private void paint(EffectPanel wanted) {
        Theme look = theme.getValue();
        image.setLayoutX(SIDE);
        image.paint((g, pen, width, height) -> EffectPanelPainter.paint(g, look, wanted, width), getWidth() - 2 * SIDE,
                panel.height());
    }
}
