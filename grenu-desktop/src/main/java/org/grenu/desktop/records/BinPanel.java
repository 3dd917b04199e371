package org.grenu.desktop.records;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.grenu.desktop.control.OverlayPanel;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.StudyDesk;
import org.grenu.library.BinLoss;
import org.grenu.library.Binned;

/** What was put into the bin, to be taken out again. */
public final class BinPanel extends OverlayPanel {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm")
            .withZone(ZoneId.systemDefault());

    private static final double MOST_HEIGHT = 380;

    private final StudyDesk desk;
    private final VBox list = new VBox(4);
    private final Button empty = new Button("Empty it…");
    private final Label loss = new Label();
    private final VBox sure = new VBox(8);

    /** The bin of that desk's library; it is read when it is shown. */
    public BinPanel(StudyDesk desk) {
        super("bin-panel", 480);
        this.desk = desk;
        Label words = new Label(
                "Nothing in it counts or is shown anywhere else. It stays until it is taken out or the bin is "
                        + "emptied.");
        words.getStyleClass().add(Styles.MUTED);
        words.setWrapText(true);
        empty.setId("bin-empty-it");
        empty.getStyleClass().add(Styles.ACTION);
        empty.setOnAction(event -> desk.inBin().loss(this::ask));
        getChildren().addAll(top("Bin", empty, close("bin-close")), words, sure(), scrolled(list, MOST_HEIGHT));
        desk.editDepthProperty().addListener((o, was, is) -> read());
    }

    private Node sure() {
        loss.setId("bin-loss");
        loss.getStyleClass().add(Styles.REFUSAL);
        loss.setWrapText(true);
        Button forGood = forGood();
        Button keep = new Button("Keep it");
        keep.getStyleClass().add(Styles.ACTION);
        keep.setOnAction(event -> sure.setVisible(false));
        sure.getChildren().addAll(loss, new HBox(8, forGood, keep));
        sure.managedProperty().bind(sure.visibleProperty());
        sure.setVisible(false);
        return sure;
    }

    private Button forGood() {
        Button forGood = new Button("Empty it for good");
        forGood.setId("bin-empty-for-good");
        forGood.getStyleClass().addAll(Styles.ACTION, Styles.PRIMARY);
        forGood.setOnAction(event -> {
            sure.setVisible(false);
            desk.inBin().empty(this::read);
        });
        return forGood;
    }

    private void ask(BinLoss lost) {
        loss.setText(BinText.loss(lost));
        sure.setVisible(true);
    }

    /** Shows what is in it. */
    public void open() {
        sure.setVisible(false);
        setVisible(true);
        read();
    }

    private void read() {
        if (isVisible()) {
            desk.inBin().contents(this::show);
        }
    }

    private void show(List<Binned> binned) {
        list.getChildren().setAll(binned.stream().map(this::line).toList());
        empty.setDisable(binned.isEmpty());
        if (binned.isEmpty()) {
            Label nothing = new Label("The bin is empty.");
            nothing.setId("bin-empty");
            list.getChildren().add(nothing);
        }
    }

    private Node line(Binned binned) {
        Label words = new Label(binned.words());
        words.setMinWidth(0);
        Label when = new Label(WHEN.format(binned.since()));
        when.getStyleClass().add(Styles.MUTED);
        when.setMinWidth(Region.USE_PREF_SIZE);
        Button out = takeOut(binned);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox line = new HBox(8, words, gap, when, out);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private Button takeOut(Binned binned) {
        Button out = new Button("Take out");
        out.setId("take-out-" + binned.target().name().toLowerCase(Locale.ROOT) + "-" + binned.id());
        out.getStyleClass().add(Styles.LINK);
        out.setMinWidth(Region.USE_PREF_SIZE);
        out.setOnAction(event -> desk.inBin().restore(binned));
        return out;
    }
}
