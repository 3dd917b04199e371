package org.grenu.desktop.shelf;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.Observable;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.StringBinding;
import org.grenu.core.entry.Row;
import org.grenu.core.shelf.ShelfField;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordEdit;
import org.grenu.core.record.StudyMembership;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.Change;
import org.grenu.library.ShotSummary;

/** Groups shots to the chosen study: those that the rack shows go into it, or out of it, as one step. */
public final class StudyViewModel {

    private final StudyDesk desk;
    private final ShelfViewModel shelf;
    private final Supplier<List<ShotSummary>> rack;
    private final Observable rackChanges;

    /** Studies of that shelf, into which the rack's shots go. */
    public StudyViewModel(StudyDesk desk, ShelfViewModel shelf, Supplier<List<ShotSummary>> rack,
            Observable rackChanges) {
        this.desk = desk;
        this.shelf = shelf;
        this.rack = rack;
        this.rackChanges = rackChanges;
    }

    /** {@return how many of the shots in the rack are in the study, in words} */
    StringBinding count() {
        return Bindings.createStringBinding(() -> {
            List<ShotSummary> shown = rack.get();
            long in = shown.stream().filter(shot -> shot.record().studies().contains(study())).count();
            return "Of the " + (shown.size() == 1 ? "1 shot" : shown.size() + " shots") + " in the rack " + in
                    + (in == 1 ? " is" : " are") + " in this study.";
        }, rackChanges, desk.shots(), shelf.chosenProperty());
    }

    /** {@return the arms that are named on the shelf, then others that its shots are in} */
    List<String> arms() {
        Chosen chosen = shelf.chosenProperty().get();
        List<String> arms = new ArrayList<>();
        if (chosen != null && chosen.item().kind() == ShelfKind.STUDY) {
            arms.addAll(chosen.version().entries().rows(ShelfField.ARMS).stream().map(Row::text).toList());
            desk.shots()
                    .forEach(shot -> shot.record()
                            .armIn(study())
                            .filter(arm -> shot.record().studies().contains(study()) && !arms.contains(arm))
                            .ifPresent(arms::add));
        }
        return arms;
    }

    /**
     * Puts the rack's shots into the study.
     *
     * @param arm blank leaves the arms as they are
     * @throws org.grenu.core.entry.RefusedEntry if the arm's name is not possible; nothing is changed
     */
    void take(String arm) {
        change("Into the study " + study(), shot -> StudyMembership.join(shot.written(), study(),
                Optional.of(arm).filter(name -> !name.isBlank())));
    }

    /** Takes the rack's shots out of the study. */
    void leave() {
        change("Out of the study " + study(), shot -> StudyMembership.leave(shot.written(), study()));
    }

    private void change(String words, Function<ShotSummary, List<RecordEdit>> edits) {
        List<Change> changes = new ArrayList<>();
        rack.get().forEach(shot -> edits.apply(shot).forEach(edit -> changes.add(Change.of(shot.id(), edit))));
        desk.change(words, changes, "");
    }

    private String study() {
        Chosen chosen = shelf.chosenProperty().get();
        return chosen == null ? "" : chosen.item().name();
    }
}
