package org.grenu.desktop.ledger;

import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.control.Tooltip;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.Icon;
import org.grenu.desktop.control.Section;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.Attachment;
import org.grenu.library.Target;

/** Photos and other files of the shot; they are kept in the library, whatever becomes of the file. */
final class AttachmentsSection extends Section {

    private static final double THUMBNAIL = 78;

    private final StudyDesk desk;
    private final LedgerViewModel model;
    private final LedgerActions actions;
    private final FlowPane files = new FlowPane(6, 6);
    private long shown = -1;

    AttachmentsSection(LedgerViewModel model, StudyDesk desk, LedgerActions actions) {
        super("Photos and files");
        this.desk = desk;
        this.model = model;
        this.actions = actions;
        files.setId("attachments");
        Button add = new Button("Attach…");
        add.setId("attach");
        add.getStyleClass().add(Styles.ACTION);
        add.setTooltip(new Tooltip("Or drop pictures on the window"));
        add.setOnAction(event -> actions.attach());
        getChildren().addAll(files, add);
        model.openProperty().addListener((o, was, is) -> read());
        read();
    }

    private void read() {
        long shot = model.open() == null ? -1 : model.open().summary().id();
        if (shot < 0) {
            return;
        }
        desk.background().run(() -> desk.library().attachments(shot), found -> {
            if (model.open() != null && model.open().summary().id() == shot) {
                show(found, shot);
            }
        }, desk::failed);
    }

    private void show(List<Attachment> found, long shot) {
        remark().setText(found.isEmpty() ? "none yet" : Integer.toString(found.size()));
        boolean same = shot == shown && files.getChildren().size() == found.size();
        if (same) {
            return;
        }
        shown = shot;
        files.getChildren().setAll(found.stream().map(this::card).toList());
    }

    private Node card(Attachment attachment) {
        Label name = new Label(attachment.name());
        name.setMaxWidth(THUMBNAIL);
        name.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS);
        name.setTooltip(new Tooltip(attachment.name() + ", " + Math.max(1, attachment.size() / 1024) + " kB; click saves a copy"));
        name.getStyleClass().add(Styles.CAPTION);
        name.setOnMouseClicked(event -> actions.save(attachment));
        Button remove = new Button();
        remove.setId("remove-attachment-" + attachment.id());
        remove.setGraphic(Icon.CLOSE.node());
        remove.getStyleClass().addAll(Styles.QUIET, Styles.REMOVE);
        remove.setAccessibleText("Put " + attachment.name() + " into the bin");
        remove.setOnAction(event -> desk.step(() -> desk.library().bin(Target.ATTACHMENT, List.of(attachment.id()), attachment.name() + " put into the bin"), step -> {
            shown = -1;
            read();
        }));
        VBox box = new VBox(2);
        if (attachment.name().toLowerCase(Locale.ROOT).matches(".*\\.(png|jpe?g|gif|bmp)")) {
            ImageView picture = new ImageView();
            picture.setFitWidth(THUMBNAIL);
            picture.setFitHeight(THUMBNAIL);
            picture.setPreserveRatio(true);
            picture.setAccessibleText(attachment.name());
            desk.background().run(() -> desk.library().attachmentBytes(attachment.id()),
                    bytes -> picture.setImage(new Image(new ByteArrayInputStream(bytes), 2 * THUMBNAIL, 2 * THUMBNAIL, true, true)), desk::failed);
            box.getChildren().add(picture);
        }
        HBox foot = new HBox(name, remove);
        foot.setAlignment(Pos.CENTER_LEFT);
        box.getChildren().add(foot);
        return box;
    }
}
