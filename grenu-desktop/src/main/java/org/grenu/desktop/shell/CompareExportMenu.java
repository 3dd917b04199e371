package org.grenu.desktop.shell;

import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.Region;
import org.grenu.app.export.ComparisonExport;
import org.grenu.desktop.control.Styles;

/** What can be written of a comparison. */
final class CompareExportMenu extends MenuButton {

    CompareExportMenu(Bench bench, FileDialogs dialogs) {
        super("Export");
        setId("compare-export");
        getStyleClass().add(Styles.ACTION);
        setMinWidth(Region.USE_PREF_SIZE);
        for (ComparisonExport kind : ComparisonExport.values()) {
            MenuItem item = new MenuItem(kind.title());
            item.setId("compare-export-" + kind.name().toLowerCase(java.util.Locale.ROOT));
            item.setOnAction(event -> dialogs.fileToSave(kind.suggestedName()).ifPresent(file -> bench.compareExports().export(kind, file)));
            getItems().add(item);
        }
        disableProperty().bind(bench.compare().answeredProperty().isNull());
    }
}
