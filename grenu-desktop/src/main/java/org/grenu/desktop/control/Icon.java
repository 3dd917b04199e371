package org.grenu.desktop.control;

import javafx.scene.Node;
import javafx.scene.layout.StackPane;
import javafx.scene.shape.SVGPath;

/** The program's own line icons, in a box of 18 px. */
public enum Icon {
    MARK("M9 1 A8 8 0 1 1 8.99 1 Z M6 6 h.01 M9 4.5 h.01 M12 6.5 h.01 M5 9.5 h.01 M8.2 8.2 h.01 M11 9.6 h.01 M13.4 "
            + "9.4 h.01 M6.8 12 h.01 M9.6 13 h.01 M12 12.4 h.01"),
    SHELF("M2 6.5 H16 M2 15.5 H16 M4 6.5 V3 H7.5 V6.5 M10 6.5 V2 H14 V6.5 M3.5 15.5 V10.5 H9 V15.5 M11.5 15.5 V12 "
            + "H14.5 V15.5"),
    PLAN("M2.5 15.5 H16 M2.5 15.5 V2.5 M5.5 13 V9.5 M9 13 V6.5 M12.5 13 V3.5"),
    READ("M2 6 C5 2 7 8 10 5 S14 4 16 4 M2 10 C5 7 8 12 11 9 S15 8 16 8 M2 14 H16"),
    COMPARE("M2.5 15.5 H16 M2.5 15.5 C6 14 8 10 15.5 3 M2.5 15.5 C7 14.5 10 12 15.5 8 M2.5 15.5 C8 15 11 14 15.5 12.5"),
    UNDO("M6 4 L2.5 7.5 L6 11 M2.5 7.5 H11 C13.5 7.5 15.5 9.3 15.5 11.5 S13.5 15 11 15 H8"),
    REDO("M12 4 L15.5 7.5 L12 11 M15.5 7.5 H7 C4.5 7.5 2.5 9.3 2.5 11.5 S4.5 15 7 15 H10"),
    IMPORT("M9 2 V11 M5.5 7.5 L9 11 L12.5 7.5 M2.5 12 V15.5 H15.5 V12"),
    EXPORT("M9 11 V2 M5.5 5.5 L9 2 L12.5 5.5 M2.5 12 V15.5 H15.5 V12"),
    SEARCH("M7.5 2.5 A5 5 0 1 1 7.49 2.5 Z M11.2 11.2 L15.5 15.5"),
    LIGHT("M9 5.5 A3.5 3.5 0 1 1 8.99 5.5 Z M9 1 V2.8 M9 15.2 V17 M1 9 H2.8 M15.2 9 H17 M3.4 3.4 L4.6 4.6 M13.4 13.4 "
            + "L14.6 14.6 M14.6 3.4 L13.4 4.6 M4.6 13.4 L3.4 14.6"),
    DARK("M13.5 11.5 A6.2 6.2 0 0 1 6.5 4.5 A6.2 6.2 0 1 0 13.5 11.5 Z"),
    MORE("M4 9 h.01 M9 9 h.01 M14 9 h.01"),
    CLOSE("M4.5 4.5 L13.5 13.5 M13.5 4.5 L4.5 13.5"),
    CHECK("M3.5 9.5 L7.5 13.5 L14.5 4.5"),
    ADD("M9 3.5 V14.5 M3.5 9 H14.5"),
    SETTINGS(
            "M2.5 5 H9 M12.5 5 H15.5 M9 5 A1.75 1.75 0 1 0 12.5 5 A1.75 1.75 0 1 0 9 5 M2.5 12.5 H4.5 M8 12.5 H15.5 "
                    + "M4.5 12.5 A1.75 1.75 0 1 0 8 12.5 A1.75 1.75 0 1 0 4.5 12.5");

    private final String path;

    Icon(String path) {
        this.path = path;
    }

    /** {@return a fresh node of this icon} */
    public Node node() {
        SVGPath shape = new SVGPath();
        shape.setContent(path);
        shape.getStyleClass().add(Styles.ICON);
        StackPane box = new StackPane(shape);
        box.setMinSize(18, 18);
        box.setPrefSize(18, 18);
        box.setMaxSize(18, 18);
        box.setMouseTransparent(true);
        return box;
    }
}
