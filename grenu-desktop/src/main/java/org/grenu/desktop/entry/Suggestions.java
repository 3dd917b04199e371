package org.grenu.desktop.entry;

import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import javafx.geometry.Side;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/** Offers what could be meant while something is typed. Down and Enter take an offer, Escape puts them away. */
public final class Suggestions {

    private static final int MOST = 8;

    private final TextField field;
    private final Function<String, List<Offer>> offers;
    private final ContextMenu menu = new ContextMenu();
    private boolean taking;

    /**
     * Something that could be meant.
     *
     * @param shown   in the list
     * @param becomes what stands in the field once it is taken
     */
    public record Offer(String shown, String becomes) {
    }

    private Suggestions(TextField field, Function<String, List<Offer>> offers) {
        this.field = field;
        this.offers = offers;
        menu.setAutoFix(false);
        menu.setId(field.getId() + "-offers");
        field.getProperties().put(Suggestions.class, this);
        field.textProperty().addListener((o, was, is) -> offer());
        field.focusedProperty().addListener((o, was, focused) -> {
            if (!focused) {
                menu.hide();
            }
        });
        field.addEventFilter(KeyEvent.KEY_PRESSED, key -> {
            if (key.getCode() == KeyCode.ESCAPE && menu.isShowing()) {
                menu.hide();
                key.consume();
            }
        });
    }

    /** Makes that field offer what the function gives for the text that is typed. */
    public static void on(TextField field, Function<String, List<Offer>> offers) {
        new Suggestions(field, offers);
    }

    /** {@return whether that field shows offers now, to which Up and Down belong} */
    public static boolean shownFor(TextField field) {
        return field.getProperties().get(Suggestions.class) instanceof Suggestions offering && offering.menu.isShowing();
    }

    /** {@return offers of those names that hold the text, those that begin with it first} */
    public static List<Offer> among(List<String> names, String typed) {
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        return names.stream().filter(name -> name.toLowerCase(Locale.ROOT).contains(wanted) && !name.equals(typed))
                .sorted((one, other) -> Boolean.compare(!one.toLowerCase(Locale.ROOT).startsWith(wanted), !other.toLowerCase(Locale.ROOT).startsWith(wanted)))
                .map(name -> new Offer(name, name)).toList();
    }

    private void offer() {
        if (taking || !field.isFocused() || field.getScene() == null) {
            return;
        }
        List<Offer> found = offers.apply(field.getText());
        if (found.isEmpty()) {
            menu.hide();
            return;
        }
        menu.getItems().setAll(found.stream().limit(MOST).map(this::item).toList());
        if (!menu.isShowing()) {
            menu.show(field, Side.BOTTOM, 0, 2);
        }
    }

    private MenuItem item(Offer offer) {
        MenuItem item = new MenuItem(offer.shown);
        item.setMnemonicParsing(false);
        item.setOnAction(event -> {
            taking = true;
            field.setText(offer.becomes);
            field.end();
            taking = false;
        });
        return item;
    }
}
