package org.grenu.desktop.control;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.collections.FXCollections;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;

/** Lists to choose from, whose values say themselves in words. */
public final class Choices {

    private Choices() {
    }

    /** {@return a list with that value chosen; choosing another tells it} */
    public static <T> ComboBox<T> of(String id, String meaning, List<T> values, T chosen, Function<T, String> words,
            Consumer<T> choose) {
        ComboBox<T> box = new ComboBox<>(FXCollections.observableArrayList(values));
        box.setId(id);
        box.getStyleClass().add(Styles.PICK);
        box.setAccessibleText(meaning);
        box.setConverter(converter(values, chosen, words));
        box.setValue(chosen);
        box.valueProperty().addListener((o, was, is) -> {
            if (is != null && !is.equals(was)) {
                choose.accept(is);
            }
        });
        return box;
    }

    private static <T> StringConverter<T> converter(List<T> values, T chosen, Function<T, String> words) {
        return new StringConverter<>() {
            @Override
            public String toString(T value) {
                return value == null ? "" : words.apply(value);
            }

            @Override
            public T fromString(String typed) {
                return values.stream().filter(value -> words.apply(value).equals(typed)).findFirst().orElse(chosen);
            }
        };
    }
}
