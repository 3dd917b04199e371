package org.grenu.desktop.compare;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.CustomMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.grenu.desktop.control.Hint;
import org.grenu.core.compare.Question;
import org.grenu.core.compare.ResponseSurface;
import org.grenu.core.quantity.DecimalText;
import org.grenu.core.quantity.DisplayUnits;
import org.grenu.core.quantity.Title;
import org.grenu.core.response.ComparisonBasis;
import org.grenu.core.response.Response;
import org.grenu.core.response.Variable;
import org.grenu.core.record.Factor;
import org.grenu.desktop.control.Choices;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.control.WrappingBar;
import org.grenu.desktop.desk.Appearance;

/** What is asked: what changed, about what, on which basis, in which blocks. */
final class QuestionBar extends WrappingBar {

    private static final int MOST_PAIRS = 6;
    private static final double UNIT_WIDTH = 48;
    private static final double STEPPED_WIDTH = 300;

    private final CompareViewModel model;
    private final Appearance appearance;
    private final MenuButton changed = menu("changed", "What changed: which factors the answer keeps apart");
    private final MenuButton asked = menu("asked", "What is asked about, and how large a difference must be to matter");
    private final HBox blocks = new HBox();
    private final ComboBox<ComparisonBasis> basis;

    QuestionBar(CompareViewModel model, Appearance appearance) {
        this.model = model;
        this.appearance = appearance;
        changed.setOnShowing(event -> fillChanged());
        asked.setOnShowing(event -> fillAsked());
        basis = basisChoice();
        blocks.setAlignment(Pos.CENTER_LEFT);
        getChildren().addAll(named("What changed", changed), named("Asked", asked), basis, named("Blocks", blocks));
        model.answeredProperty().addListener((o, was, is) -> describe());
        appearance.colourByProperty().addListener((o, was, is) -> describe());
        model.choicesProperty().addListener((o, was, is) -> describe());
        describe();
    }

    private ComboBox<ComparisonBasis> basisChoice() {
        ComboBox<ComparisonBasis> box = Choices.of("compare-basis", "What is held equal",
                List.of(ComparisonBasis.values()),
                model.choicesProperty().get().basis(),
                ComparisonBasis::words, chosen -> model.choose(now -> now.withBasis(chosen)));
        Hint.on(box, "Another basis can give another answer, so every answer names its own");
        return box;
    }

    private static Label word(String text) {
        Label label = new Label(text);
        label.getStyleClass().add(Styles.MUTED);
        label.setMinWidth(Region.USE_PREF_SIZE);
        return label;
    }

    private static MenuButton menu(String id, String tip) {
        MenuButton menu = new MenuButton();
        menu.setId(id);
        menu.getStyleClass().add(Styles.ACTION);
        Hint.on(menu, tip);
        menu.setMinWidth(Region.USE_PREF_SIZE);
        return menu;
    }

    private void describe() {
        int beside = model.others().size();
        basis.setValue(model.choicesProperty().get().basis());
        changed.setText(appearance.colourByProperty().get().title() + (beside == 0 ? "" : " + " + beside));
        asked.setText(model.responses().size() == 1 ? "1 response" : model.responses().size() + " responses");
        List<Optional<Factor>> possible = Stream
                .concat(Stream.of(Optional.<Factor>empty()), model.dividingFactors().stream().map(Optional::of))
                .toList();
        blocks.getChildren()
                .setAll(Choices.of("blocks", "Whose own level is taken out", possible, model.block(),
                        block -> block.map(Factor::title).orElse("none"),
                        block -> model.choose(now -> now.withBlock(block))));
    }

    private void fillChanged() {
        List<MenuItem> items = new ArrayList<>();
        CheckBox main = new CheckBox(
                appearance.colourByProperty().get().title() + ": gives the colour and the headline");
        main.setSelected(true);
        main.setDisable(true);
        items.add(new CustomMenuItem(stepped(main, Variable.of(appearance.colourByProperty().get())), false));
        List<Variable> chosen = model.others();
        for (Variable variable : model.possibleVariables()) {
            CheckBox box = new CheckBox(
                    variable.title() + (variable instanceof Variable.Covariate ? ", held equal" : ""));
            box.setId("variable-" + variable.key().replaceAll("[^a-z0-9_]", "-"));
            box.setSelected(chosen.stream().anyMatch(one -> one.key().equals(variable.key())));
            box.setOnAction(event -> {
                List<Variable> now = new ArrayList<>(model.others());
                now.removeIf(one -> one.key().equals(variable.key()));
                if (box.isSelected()) {
                    now.add(variable);
                }
                model.choose(choices -> choices.withOthers(now));
            });
            items.add(new CustomMenuItem(stepped(box, variable), false));
        }
        items.add(new SeparatorMenuItem());
        items.add(option("by-level", "A mean for each number, not a straight line",
                model.choicesProperty().get().byLevel(), on -> model.choose(now -> now.withByLevel(on))));
        List<Variable> all = new ArrayList<>(List.of(Variable.of(appearance.colourByProperty().get())));
        all.addAll(chosen);
        CompareChoices.pairs(all).stream().limit(MOST_PAIRS).forEach(pair -> items.add(together(pair)));
        items.add(option("holm", "Correct p for asking about several (Holm)", model.choicesProperty().get().holm(),
                on -> model.choose(now -> now.withHolm(on))));
        changed.getItems().setAll(items);
    }

    /** A number's effect is stated for the step named beside it, or for the range that was used. */
    private Node stepped(CheckBox box, Variable variable) {
        if (!variable.numeric()) {
            return box;
        }
        box.setPrefWidth(STEPPED_WIDTH);
        TextField field = new TextField(stepText(variable));
        field.setId("step-" + variable.key().replaceAll("[^a-z0-9_]", "-"));
        field.getStyleClass().add(Styles.ENTRY);
        field.setPrefWidth(54);
        field.setPromptText("range");
        Hint.on(field, "Effects are stated and judged for this step; empty: for the range that was used");
        field.setAccessibleText("Step of " + variable.title() + " that its effect is stated for");
        onLeaving(field, () -> {
            Map<String, Double> steps = new HashMap<>(model.choicesProperty().get().steps());
            OptionalDouble number = DecimalText.parse(field.getText());
            if (number.isPresent() && number.getAsDouble() > 0) {
                steps.put(variable.key(), model.units().keptDifference(number.getAsDouble(), variable.unit()));
            } else if (field.getText().isBlank()) {
                steps.remove(variable.key());
            }
            if (!steps.equals(model.choicesProperty().get().steps())) {
                model.choose(choices -> choices.withSteps(steps));
            }
            field.setText(stepText(variable));
        });
        Label unit = word(model.units().symbol(variable.unit()));
        HBox line = new HBox(4, box, word("step"), field, unit);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private String stepText(Variable variable) {
        Double step = model.choicesProperty().get().steps().get(variable.key());
        return step == null ? "" : model.units().typedDifference(step, variable.unit());
    }

    private static void onLeaving(TextField field, Runnable take) {
        field.setOnAction(event -> take.run());
        field.focusedProperty().addListener((o, was, is) -> {
            if (was) {
                take.run();
            }
        });
    }

    private CustomMenuItem together(Question.Pair pair) {
        String key = CompareChoices.key(pair);
        return option(key.replaceAll("[^a-z0-9_]", "-"),
                pair.first().title() + " and " + Title.inSentence(pair.second().title()) + " may act together",
                model.choicesProperty().get().interactions().contains(key), on -> model.choose(now -> {
                    List<String> pairs = new ArrayList<>(now.interactions());
                    pairs.remove(key);
                    if (on) {
                        pairs.add(key);
                    }
                    return now.withInteractions(pairs);
                }));
    }

    private static CustomMenuItem option(String id, String words, boolean on,
            Consumer<Boolean> choose) {
        CheckBox box = new CheckBox(words);
        box.setId("option-" + id);
        box.setSelected(on);
        box.setOnAction(event -> choose.accept(box.isSelected()));
        return new CustomMenuItem(box, false);
    }

    private void fillAsked() {
        List<Response> chosen = model.responses();
        List<MenuItem> items = new ArrayList<>();
        for (Response response : model.possibleResponses()) {
            CheckBox box = new CheckBox(response.title());
            box.setId("response-" + response.key().replaceAll("[^a-z0-9_]", "-"));
            box.setPrefWidth(238);
            box.setSelected(chosen.stream().anyMatch(one -> one.key().equals(response.key())));
            box.setOnAction(event -> {
                List<Response> now = new ArrayList<>(model.responses());
                now.removeIf(one -> one.key().equals(response.key()));
                if (box.isSelected()) {
                    now.add(response);
                }
                if (!now.isEmpty()) {
                    model.choose(choices -> choices.withResponses(now));
                }
            });
            Label unit = word(model.units().symbol(response.differenceUnit()));
            unit.setMinWidth(UNIT_WIDTH);
            HBox line = new HBox(4, box, word("±"), margin(response), unit, word("wanted"), window(response));
            line.setAlignment(Pos.CENTER_LEFT);
            items.add(new CustomMenuItem(line, false));
        }
        asked.getItems().setAll(items);
    }

    /** What is wanted of the response, for the region where all windows meet on the surface. */
    private TextField window(Response response) {
        TextField field = new TextField(windowText(response));
        field.setId("window-" + response.key().replaceAll("[^a-z0-9_]", "-"));
        field.getStyleClass().add(Styles.ENTRY);
        field.setPrefWidth(62);
        field.setPromptText("from–to");
        field.setAccessibleText("What is wanted of " + response.title() + ", from and to");
        onLeaving(field, () -> takeWindow(response, field));
        return field;
    }

    private String windowText(Response response) {
        return Optional.ofNullable(model.choicesProperty().get().wanted().get(response.key()))
                .map(window -> CompareChoices.text(shown(window, response.unit())))
                .orElse("");
    }

    private void takeWindow(Response response, TextField field) {
        Map<String, ResponseSurface.Window> windows = new HashMap<>(model.choicesProperty().get().windows());
        CompareChoices.window(field.getText())
                .ifPresentOrElse(window -> windows.put(response.key(), kept(window, response.unit())),
                        () -> windows.remove(response.key()));
        if (!windows.equals(model.choicesProperty().get().windows())) {
            model.choose(choices -> choices.withWindows(windows));
        }
        field.setText(windowText(response));
    }

    private TextField margin(Response response) {
        TextField field = new TextField(marginText(response));
        field.setId("margin-" + response.key().replaceAll("[^a-z0-9_]", "-"));
        field.getStyleClass().add(Styles.ENTRY);
        field.setPrefWidth(54);
        field.setAccessibleText("Differences of " + response.title() + " up to this make none in practice");
        onLeaving(field, () -> takeMargin(response, field));
        return field;
    }

    private void takeMargin(Response response, TextField field) {
        OptionalDouble number = DecimalText.parse(field.getText());
        if (number.isPresent() && number.getAsDouble() >= 0) {
            Map<String, Double> margins = new HashMap<>(model.choicesProperty().get().margins());
            margins.put(response.key(), model.units().keptDifference(number.getAsDouble(), response.unit()));
            model.choose(choices -> choices.withMargins(margins));
        } else {
            field.setText(marginText(response));
        }
    }

    private String marginText(Response response) {
        double margin = model.choicesProperty().get().margins().getOrDefault(response.key(), response.usualMargin());
        return model.units().typedDifference(margin, response.unit());
    }

    private ResponseSurface.Window shown(ResponseSurface.Window window, String unit) {
        DisplayUnits units = model.units();
        return new ResponseSurface.Window(units.value(window.low(), unit), units.value(window.high(), unit));
    }

    private ResponseSurface.Window kept(ResponseSurface.Window window, String unit) {
        DisplayUnits units = model.units();
        return new ResponseSurface.Window(units.kept(window.low(), unit), units.kept(window.high(), unit));
    }
}
