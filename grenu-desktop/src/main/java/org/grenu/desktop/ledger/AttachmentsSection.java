package org.grenu.desktop.ledger;

import java.io.ByteArrayInputStream;
import javafx.beans.Observable;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Hint;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.library.Attachment;

/** Photos and other files of the shot; they are kept in the library, whatever becomes of the file. */
final class AttachmentsSection extends Section {

    private static final double THUMBNAIL = 78;

    private final AttachmentsViewModel model;
    private final LedgerActions actions;
    private final Label log = new Label();
    private final FlowPane files = new FlowPane(6, 6);

    AttachmentsSection(AttachmentsViewModel model, LedgerActions actions) {
        super("Photos and files");
        this.model = model;
        this.actions = actions;
        files.setId("attachments");
        Button add = new Button("Attach…");
        add.setId("attach");
        add.getStyleClass().add(Styles.ACTION);
        Hint.on(add, "Or drop pictures on the window");
        add.setOnAction(event -> actions.attach());
        Button save = new Button("Save a copy…");
        save.setId("save-log");
        save.getStyleClass().add(Styles.LINK);
        save.setOnAction(event -> actions.saveLog());
        log.setId("log-file");
        log.setMinWidth(0);
        log.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        log.textProperty().bind(model.logProperty().map(name -> "Log: " + name));
        save.setMinWidth(USE_PREF_SIZE);
        HBox logLine = new HBox(6, log, save);
        logLine.setAlignment(Pos.CENTER_LEFT);
        logLine.visibleProperty().bind(model.logProperty().isNotEmpty());
        logLine.managedProperty().bind(logLine.visibleProperty());
        getChildren().addAll(logLine, files, add);
        model.files().addListener((Observable o) -> show());
        show();
    }

    private void show() {
        remark().setText(model.files().isEmpty() ? "none yet" : Integer.toString(model.files().size()));
        files.getChildren().setAll(model.files().stream().map(this::card).toList());
    }

    private Node card(Attachment attachment) {
        Label name = new Label(attachment.name());
        name.setMaxWidth(THUMBNAIL);
        name.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        Hint.on(name,
                attachment.name() + ", " + Math.max(1, attachment.size() / 1024) + " kB; click saves a copy");
        name.getStyleClass().add(Styles.CAPTION);
        name.setOnMouseClicked(event -> actions.save(attachment));
        Button remove = new Button();
        remove.setId("remove-attachment-" + attachment.id());
        remove.setGraphic(Icon.CLOSE.node());
        remove.getStyleClass().addAll(Styles.QUIET, Styles.REMOVE);
        remove.setAccessibleText("Put " + attachment.name() + " into the bin");
        remove.setOnAction(event -> model.bin(attachment));
        VBox box = new VBox(2);
        if (AttachmentsViewModel.picture(attachment)) {
            ImageView picture = new ImageView();
            picture.setFitWidth(THUMBNAIL);
            picture.setFitHeight(THUMBNAIL);
            picture.setPreserveRatio(true);
            picture.setAccessibleText(attachment.name());
            model.read(attachment, bytes -> picture
                    .setImage(new Image(new ByteArrayInputStream(bytes), 2 * THUMBNAIL, 2 * THUMBNAIL, true, true)));
            box.getChildren().add(picture);
        }
        HBox foot = new HBox(name, remove);
        foot.setAlignment(Pos.CENTER_LEFT);
        box.getChildren().add(foot);
        return box;
    }
}
