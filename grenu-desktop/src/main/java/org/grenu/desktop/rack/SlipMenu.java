package org.grenu.desktop.rack;

import java.util.List;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import org.grenu.desktop.desk.PickedShots;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.ShotSummary;

/** What can be done with one shot of the rack, under the right button. */
final class SlipMenu {

    private final StudyDesk desk;
    private final PickedShots picked;
    private final ObservableValue<Boolean> picking;
    private final RackActions actions;
    private final ContextMenu menu = new ContextMenu();

    SlipMenu(StudyDesk desk, PickedShots picked, ObservableValue<Boolean> picking, RackActions actions) {
        this.desk = desk;
        this.picked = picked;
        this.picking = picking;
        this.actions = actions;
    }

    /** Shows it for that shot at that place of the screen. */
    void show(Node owner, ShotSummary shot, double x, double y) {
        menu.getItems()
                .setAll(item("slip-open", "Read shot " + shot.number(), () -> desk.select(shot.id())),
                        item("slip-edit", "Edit its entries…", () -> actions.edit(List.of(shot))),
                        item("slip-bin", "Put it into the bin (Delete)", () -> actions.bin(List.of(shot))));
        if (picking.getValue()) {
            menu.getItems()
                    .add(1, item("slip-pick", picked.contains(shot) ? "Leave it out of the comparison" : "Compare it",
                            () -> picked.toggle(shot)));
        }
        menu.show(owner, x, y);
    }

    private static MenuItem item(String id, String words, Runnable run) {
        MenuItem item = new MenuItem(words);
        item.setId(id);
        item.setOnAction(event -> run.run());
        return item;
    }
}
