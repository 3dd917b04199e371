package org.grenu.desktop.entry;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.Bounds;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import org.grenu.desktop.control.PlaceKey;
import org.grenu.desktop.control.Styles;

/**
 * Offers what could be meant while something is typed; where asked for with Down, what stood there last in an empty
 * field. Down
 * and Up choose an offer, Enter or a click takes it, Escape puts them away; until one is chosen every key belongs to
 * the field.
 */
public final class Suggestions {

    /** What Down offers in most fields. */
    public static final String LAST = "↓ what stood here last";

    private static final int MOST = 8;

    private final TextField field;
    private final Function<String, List<Offer>> offers;
    private final Supplier<List<String>> last;
    private final boolean enters;
    private final Popup popup = new Popup();
    private final VBox list = new VBox();
    private List<Offer> shown = List.of();
    private int chosen = -1;
    private boolean taking;

    /**
     * Something that could be meant.
     *
     * @param shown   in the list
     * @param becomes what stands in the field once it is taken
     */
    public record Offer(String shown, String becomes) {
    }

    private Suggestions(TextField field, Function<String, List<Offer>> offers, Supplier<List<String>> last,
            boolean enters) {
        this.field = field;
        this.offers = offers;
        this.last = last;
        this.enters = enters;
        list.getStyleClass().addAll("root", Styles.OFFERS);
        popup.getContent().add(list);
        popup.setHideOnEscape(false);
        listen();
    }

    private void listen() {
        field.getProperties().put(Suggestions.class, this);
        field.textProperty().addListener((o, was, is) -> offer(() -> offers.apply(field.getText())));
        field.focusedProperty().addListener((o, was, focused) -> {
            if (!focused) {
                popup.hide();
            }
        });
        field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    }

    /** Makes that field offer what the function gives for the text that is typed. */
    public static void on(TextField field, Function<String, List<Offer>> offers) {
        new Suggestions(field, offers, List::of, false);
    }

    /**
     * Makes the field of an entry offer likewise, and on Down in the empty field what stood there last. An offer that
     * Enter takes
     * is entered at once.
     *
     * @param last the newest first
     * @param hint says in the empty field what Down offers
     */
    public static void on(EntryField entry, Function<String, List<Offer>> offers, Supplier<List<String>> last,
            String hint) {
        new Suggestions(entry.field(), offers, last, true);
        entry.hintingWhileFocused(hint);
    }

    /** {@return offers of those names that hold the text, those that begin with it first} */
    public static List<Offer> among(List<String> names, String typed) {
        String wanted = typed.strip().toLowerCase(Locale.ROOT);
        return names.stream()
                .filter(name -> name.toLowerCase(Locale.ROOT).contains(wanted) && !name.equals(typed))
                .sorted((one, other) -> Boolean.compare(!one.toLowerCase(Locale.ROOT).startsWith(wanted),
                        !other.toLowerCase(Locale.ROOT).startsWith(wanted)))
                .map(name -> new Offer(name, name))
                .toList();
    }

    /**
     * {@return as {@link #among}, for the last part of a list with semicolons between; parts that are there already
     * are not offered}
     */
    public static List<Offer> amongParts(List<String> names, String typed) {
        int end = typed.lastIndexOf(';') + 1;
        String before = end == 0 ? "" : typed.substring(0, end) + " ";
        List<String> there = Arrays.stream(before.split(";")).map(String::strip).toList();
        return among(names, typed.substring(end)).stream()
                .filter(offer -> !there.contains(offer.shown))
                .map(offer -> new Offer(offer.shown, before + offer.becomes))
                .toList();
    }

    /** {@return whether that field shows offers now, to which Up and Down belong} */
    public static boolean shownFor(TextField field) {
        return field.getProperties().get(Suggestions.class) instanceof Suggestions offering
                && offering.popup.isShowing();
    }

    private void key(KeyEvent key) {
        if (!popup.isShowing()) {
            openByKey(key);
            return;
        }
        chooseByKey(key);
    }

    private void openByKey(KeyEvent key) {
        if (PlaceKey.STOOD_LAST.is(key) && field.getText().isEmpty()) {
            offer(() -> last.get().stream().map(value -> new Offer(value, value)).toList());
            choose(0);
            key.consume();
        }
    }

    private void chooseByKey(KeyEvent key) {
        if (key.getCode() == KeyCode.DOWN || key.getCode() == KeyCode.UP) {
            choose(Math.max(-1, Math.min(shown.size() - 1, chosen + (key.getCode() == KeyCode.DOWN ? 1 : -1))));
            key.consume();
        } else if (key.getCode() == KeyCode.ESCAPE) {
            popup.hide();
            key.consume();
        } else if (chosen >= 0 && (key.getCode() == KeyCode.ENTER || key.getCode() == KeyCode.TAB)) {
            take(shown.get(chosen));
            if (key.getCode() == KeyCode.ENTER && !enters) {
                key.consume();
            }
        }
    }

    private void offer(Supplier<List<Offer>> found) {
        if (taking || !field.isFocused() || field.getScene() == null) {
            return;
        }
        shown = found.get().stream().limit(MOST).toList();
        chosen = -1;
        if (shown.isEmpty()) {
            popup.hide();
            return;
        }
        openPopup();
    }

    private void openPopup() {
        list.getChildren().setAll(shown.stream().map(this::line).toList());
        list.setMinWidth(field.getWidth());
        if (!list.getStylesheets().equals(field.getScene().getStylesheets())) {
            list.getStylesheets().setAll(field.getScene().getStylesheets());
        }
        if (!popup.isShowing()) {
            Bounds at = field.localToScreen(field.getBoundsInLocal());
            popup.show(field, at.getMinX(), at.getMaxY() + 3);
        }
    }

    private Label line(Offer offer) {
        Label line = new Label(offer.shown);
        line.getStyleClass().add(Styles.OFFER);
        line.setMaxWidth(Double.MAX_VALUE);
        line.setOnMousePressed(event -> take(offer));
        return line;
    }

    private void choose(int index) {
        chosen = index;
        for (int i = 0; i < list.getChildren().size(); i++) {
            list.getChildren().get(i).getStyleClass().remove(Styles.CURRENT);
            if (i == index) {
                list.getChildren().get(i).getStyleClass().add(Styles.CURRENT);
            }
        }
    }

    private void take(Offer offer) {
        taking = true;
        field.setText(offer.becomes);
        field.end();
        taking = false;
        popup.hide();
    }
}
