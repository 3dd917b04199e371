package org.grenu.desktop.entry;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Choices;

/** One of a few words, or unknown. */
public final class ChoiceEntry extends VBox {

    private static final String UNKNOWN = "unknown";

    /** The choice among those words, whose list has that id. */
    public ChoiceEntry(EntryViewModel model, String id, List<String> words) {
        List<String> all = new ArrayList<>(words);
        all.add(0, UNKNOWN);
        var box = Choices.of(id, model.title(), all, shown(model), word -> word,
                word -> model.enter(word.equals(UNKNOWN) ? "" : word));
        model.shownProperty().addListener((o, was, is) -> box.setValue(shown(model)));
        box.setMaxWidth(Double.MAX_VALUE);
        getChildren().add(box);
    }

    private static String shown(EntryViewModel model) {
        return model.shownProperty().get().isEmpty() ? UNKNOWN : model.shownProperty().get();
    }
}
