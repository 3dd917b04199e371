package org.grenu.desktop.find;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** What is typed into the find-or-do field, what fits it, and which of that is chosen. */
public final class FindOrDoViewModel {

    private static final int MOST = 12;

    private final List<Supplier<Stream<Hit>>> sources;
    private final BooleanProperty shown = new SimpleBooleanProperty();
    private final StringProperty typed = new SimpleStringProperty("");
    private final ObservableList<Hit> hits = FXCollections.observableArrayList();
    private final IntegerProperty chosen = new SimpleIntegerProperty(0);
    /** Everything there is, read when the field is opened. */
    private List<Hit> all = List.of();

    /** Finds in those sources; what comes first in them comes first where it fits as well. */
    public FindOrDoViewModel(List<Supplier<Stream<Hit>>> sources) {
        this.sources = List.copyOf(sources);
        typed.addListener((o, was, is) -> look());
    }

    /** {@return whether the field is open} */
    public BooleanProperty shownProperty() {
        return shown;
    }

    /** {@return what is typed} */
    public StringProperty typedProperty() {
        return typed;
    }

    /** {@return what fits it, the best first} */
    public ObservableList<Hit> hits() {
        return hits;
    }

    /** {@return place of the chosen one} */
    public IntegerProperty chosenProperty() {
        return chosen;
    }

    /** Opens the empty field. */
    public void open() {
        all = sources.stream().flatMap(Supplier::get).toList();
        typed.set("");
        look();
        shown.set(true);
    }

    /** Closes it. */
    public void putAway() {
        shown.set(false);
        all = List.of();
    }

    /** Chooses the next, or the one before. */
    public void step(int by) {
        if (!hits.isEmpty()) {
            chosen.set(Math.floorMod(chosen.get() + by, hits.size()));
        }
    }

    /** Does what is chosen and closes the field; what is not possible stays, with its reason. */
    public void invoke() {
        if (hits.isEmpty()) {
            return;
        }
        Hit hit = hits.get(chosen.get());
        if (hit.whyNot().isEmpty()) {
            putAway();
            hit.run().run();
        }
    }

    private record Ranked(Hit hit, int rank) {
    }

    private void look() {
        List<Ranked> fitting = new ArrayList<>();
        for (Hit hit : all) {
            Optional<Integer> rank = typed.get().isBlank() ? Optional.of(0) : hit.rank(typed.get());
            rank.ifPresent(found -> fitting.add(new Ranked(hit, found)));
        }
        hits.setAll(fitting.stream().sorted(Comparator.comparing(Ranked::rank)).limit(MOST).map(Ranked::hit).toList());
        chosen.set(0);
    }
}
