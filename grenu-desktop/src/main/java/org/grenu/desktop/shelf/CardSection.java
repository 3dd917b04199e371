package org.grenu.desktop.shelf;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;

/** The recipe as a card to print. */
final class CardSection extends Section {

    CardSection(ShelfViewModel model, RecipeViewModel recipes, Function<String, Optional<Path>> askWhere) {
        super("Card");
        Label words = new Label(
                "New shots start from it: open one and choose it under Recipe. A better shot promoted again makes "
                        + "the next version; older shots keep theirs.");
        words.getStyleClass().add(Styles.MUTED);
        words.setWrapText(true);
        Button print = print(model, recipes, askWhere);
        getChildren().addAll(words, print);
    }

    private static Button print(ShelfViewModel model, RecipeViewModel recipes,
            Function<String, Optional<Path>> askWhere) {
        Button print = new Button("Save as PDF…");
        print.setId("recipe-print");
        print.getStyleClass().add(Styles.ACTION);
        print.setOnAction(event -> askWhere
                .apply(model.chosenProperty().get().item().name().replaceAll("[^\\p{L}\\p{N}]+", "-") + ".pdf")
                .ifPresent(file -> recipes.print(model.chosenProperty().get(), file)));
        return print;
    }
}
