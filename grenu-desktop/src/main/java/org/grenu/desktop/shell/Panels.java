package org.grenu.desktop.shell;

import java.util.List;
import org.grenu.desktop.calculator.CalculatorPanel;
import org.grenu.desktop.calculator.CalculatorViewModel;
import org.grenu.desktop.importing.ImportPanel;
import org.grenu.desktop.importing.KeptMappingsPanel;
import org.grenu.desktop.importing.MappingPanel;
import org.grenu.desktop.ledger.CopyPanel;
import org.grenu.desktop.records.BinPanel;
import org.grenu.desktop.records.BulkPanel;
import org.grenu.desktop.records.BulkViewModel;
import org.grenu.desktop.records.JoinPanel;
import org.grenu.desktop.records.JoinViewModel;
import org.grenu.library.ShotSummary;

/** The panels that lie over the page, each shown when it is asked for. */
final class Panels {

    private final Bench bench;
    private final SettingsPanel settings;
    private final ImportPanel imports;
    private final MappingPanel mapping;
    private final KeptMappingsPanel keptMappings;
    private final BulkPanel bulk;
    private final BinPanel bin;
    private final JoinPanel join;
    private final CopyPanel copying;
    private final CalculatorPanel calculator;

    Panels(Bench bench, FileDialogs dialogs, FileRequests files, JoinViewModel joining) {
        this.bench = bench;
        settings = new SettingsPanel(bench.desk());
        imports = new ImportPanel(bench.importing(), bench.mapping());
        mapping = new MappingPanel(bench.mapping(), bench.appearance(), files::saveText);
        keptMappings = new KeptMappingsPanel(bench.keptMappings(), files::saveText,
                () -> dialogs.filesToOpen(FilesWanted.MAPPINGS));
        bulk = new BulkPanel(new BulkViewModel(bench.desk()));
        bin = new BinPanel(bench.desk());
        join = new JoinPanel(joining);
        copying = new CopyPanel(bench.ledger(), bench.desk().units());
        calculator = new CalculatorPanel(new CalculatorViewModel(bench.desk()));
    }

    /** Lays all of them over the page. */
    void layOver(Overlays overlays) {
        overlays.add(settings, () -> settings.setVisible(false));
        overlays.addHoldingWork(imports, imports::putAway);
        overlays.addHoldingWork(mapping, bench.mapping()::putAway);
        overlays.add(join, join::putAway);
        List.of(bulk, bin, copying, calculator, keptMappings)
                .forEach(panel -> overlays.add(panel, () -> panel.setVisible(false)));
    }

    /** Schools and the time convention, shown or put away. */
    void settings() {
        settings.toggle();
    }

    /** How logs of other programs are read. */
    void keptMappings() {
        keptMappings.open();
    }

    /** Entries of those shots. */
    void edit(List<ShotSummary> shots) {
        bulk.open(shots);
    }

    /** Entries of all shots shown. */
    void editShown() {
        bulk.open(bench.rack().shown());
    }

    /** What is in the bin. */
    void bin() {
        bin.open();
    }

    /** What copying from the previous shot would write. */
    void copyPrevious() {
        copying.open();
    }

    /** The balance of dissolved solids, to solve. */
    void calculator() {
        calculator.open();
    }
}
