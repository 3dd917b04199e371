package org.grenu.desktop.importing;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.quantity.Unit;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Styles;
import org.grenu.formats.mapping.ColumnRole;
import org.grenu.formats.mapping.ColumnRule;

/**
 * One column of the log: its first cells, what it is, its unit, sign, scale and offset, and why it was guessed so.
 */
final class MappingColumn extends VBox {

    private final String id;
    private final ColumnRule rule;
    private final MappingViewModel model;

    MappingColumn(ColumnRule rule, MappingPreview preview, MappingViewModel model) {
        this.id = "column-" + rule.column().replaceAll("[^A-Za-z0-9]+", "_");
        this.rule = rule;
        this.model = model;
        getStyleClass().add(Styles.MAPPING_COLUMN);
        Label heading = wide(112, rule.column(), Styles.STRONG);
        Hint.on(heading, rule.column());
        Label cells = wide(92, preview.samples().getOrDefault(rule.column(), ""), Styles.MUTED, Styles.CAPTION);
        HBox line = choices(heading, cells);
        Label why = new Label(preview.reasons().getOrDefault(rule.column(), ""));
        why.getStyleClass().addAll(Styles.MUTED, Styles.CAPTION);
        getChildren().addAll(line, why);
    }

    private HBox choices(Label heading, Label cells) {
        HBox line = new HBox(6, heading, cells, role());
        line.setAlignment(Pos.CENTER_LEFT);
        rule.role()
                .quantity()
                .filter(quantity -> quantity != Quantity.NUMBER)
                .ifPresent(quantity -> line.getChildren().add(unit(Unit.ofLogs(quantity))));
        if (rule.role() instanceof ColumnRole.OfChannel) {
            line.getChildren().addAll(sign(), scale(), offset());
        }
        return line;
    }

    private static Label wide(double width, String words, String... styles) {
        Label label = new Label(words);
        label.getStyleClass().addAll(styles);
        label.setPrefWidth(width);
        label.setMinWidth(width);
        return label;
    }

    private ComboBox<ColumnRole> role() {
        ComboBox<ColumnRole> role = Choices.of(id + "-role", "What column " + rule.column() + " is", ColumnRole.all(),
                rule.role(), ColumnRole::title,
                chosen -> model.change(ColumnRule.of(rule.column(), chosen, usual(chosen.quantity()))));
        role.setPrefWidth(134);
        role.setMinWidth(134);
        return role;
    }

    private ComboBox<Unit> unit(List<Unit> units) {
        ComboBox<Unit> unit = Choices.of(id + "-unit", "Unit of column " + rule.column(), units,
                rule.unit().orElse(units.get(0)), Unit::symbol,
                chosen -> model.change(new ColumnRule(rule.column(), rule.role(), Optional.of(chosen),
                        rule.negated(), rule.scale(), rule.offset())));
        unit.setPrefWidth(72);
        return unit;
    }

    private HBox scale() {
        return factor(id + "-scale", "×", "Multiply by", rule.scale(),
                typed -> model.change(new ColumnRule(rule.column(), rule.role(), rule.unit(), rule.negated(),
                        typed == 0 ? 1 : typed, rule.offset())));
    }

    private HBox offset() {
        return factor(id + "-offset", "+", "Then add, in the column's unit", rule.offset(),
                typed -> model.change(new ColumnRule(rule.column(), rule.role(), rule.unit(), rule.negated(),
                        rule.scale(), typed)));
    }

    private ToggleButton sign() {
        ToggleButton sign = new ToggleButton(rule.negated() ? "−" : "+");
        sign.setId(id + "-sign");
        sign.setSelected(rule.negated());
        sign.getStyleClass().add(Styles.ACTION);
        sign.setAccessibleText("Turn the sign of column " + rule.column());
        Hint.on(sign, "Turn the sign");
        sign.setOnAction(event -> model.change(new ColumnRule(rule.column(), rule.role(), rule.unit(),
                sign.isSelected(), rule.scale(), rule.offset())));
        return sign;
    }

    private static HBox factor(String id, String mark, String meaning, double value, DoubleConsumer typed) {
        TextField field = MappingPanel.number(id, DecimalText.exact(value), meaning, typed);
        HBox box = new HBox(2, new Label(mark), field);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    private static Optional<Unit> usual(Optional<Quantity> quantity) {
        return quantity.flatMap(of -> Unit.ofLogs(of).stream().findFirst());
    }
}
