package org.grenu.desktop.shelf;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import org.grenu.desktop.control.Hint;
import org.grenu.core.entry.RefusedEntry;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.entry.Suggestions;

/** Puts the shots that the rack shows into the chosen study, or takes them out. */
final class StudySection extends Section {

    StudySection(StudyViewModel model) {
        super("Shots");
        Label count = new Label();
        count.setId("study-count");
        count.setWrapText(true);
        count.textProperty().bind(model.count());
        TextField arm = new TextField();
        arm.setId("study-arm");
        arm.setPromptText("Arm, if it has arms");
        arm.setAccessibleText("Arm of the shots that are put into the study");
        arm.getStyleClass().add(Styles.ENTRY);
        Suggestions.on(arm, typed -> Suggestions.among(model.arms(), typed));
        HBox.setHgrow(arm, Priority.ALWAYS);
        Label refusal = new Label();
        refusal.getStyleClass().add(Styles.REFUSAL);
        refusal.setWrapText(true);
        refusal.managedProperty().bind(refusal.textProperty().isNotEmpty());
        Button take = new Button("Put them in");
        take.setId("study-take");
        take.getStyleClass().add(Styles.ACTION);
        Hint.on(take, "All shots that the rack shows: filter them first, such as profile:gentle");
        take.setOnAction(event -> {
            try {
                model.take(arm.getText());
                refusal.setText("");
            } catch (RefusedEntry refused) {
                refusal.setText(refused.getMessage());
            }
        });
        Button leave = new Button("Take them out");
        leave.setId("study-leave");
        leave.getStyleClass().add(Styles.LINK);
        leave.setOnAction(event -> model.leave());
        take.setMinWidth(USE_PREF_SIZE);
        getChildren().addAll(count, new HBox(6, arm, take), refusal, leave);
    }
}
