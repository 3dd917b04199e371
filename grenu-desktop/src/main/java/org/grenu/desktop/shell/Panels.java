package org.grenu.desktop.shell;

import java.util.List;
import java.util.function.Supplier;
import javafx.scene.Node;
import org.grenu.desktop.calculator.CalculatorPanel;
import org.grenu.desktop.calculator.CalculatorViewModel;
import org.grenu.desktop.importing.ImportPanel;
import org.grenu.desktop.importing.KeptMappingsPanel;
import org.grenu.desktop.importing.MappingPanel;
import org.grenu.desktop.ledger.CopyPanel;
import org.grenu.desktop.plan.StartPanel;
import org.grenu.desktop.records.BinPanel;
import org.grenu.desktop.records.BulkPanel;
import org.grenu.desktop.records.BulkViewModel;
import org.grenu.desktop.records.JoinPanel;
import org.grenu.desktop.records.JoinViewModel;
import org.grenu.library.ShotSummary;

/** The panels that lie over the page, each shown when it is asked for. */
final class Panels {

    private final Bench bench;
    private final Overlays overlays;
    private final OnDemand<SettingsPanel> settings;
    private final OnDemand<KeptMappingsPanel> keptMappings;
    private final OnDemand<BulkPanel> bulk;
    private final OnDemand<BinPanel> bin;
    private final OnDemand<CopyPanel> copying;
    private final OnDemand<CalculatorPanel> calculator;
    private final OnDemand<StartPanel> start;

    /** Panels that lie among those. */
    Panels(Bench bench, FileDialogs dialogs, FileRequests files, JoinViewModel joining, Overlays overlays) {
        this.bench = bench;
        this.overlays = overlays;
        settings = new OnDemand<>(() -> new SettingsPanel(bench.desk()));
        keptMappings = new OnDemand<>(() -> new KeptMappingsPanel(bench.keptMappings(), files::saveText,
                () -> dialogs.filesToOpen(FilesWanted.MAPPINGS)));
        bulk = new OnDemand<>(() -> new BulkPanel(new BulkViewModel(bench.desk())));
        bin = new OnDemand<>(() -> new BinPanel(bench.desk()));
        copying = new OnDemand<>(() -> new CopyPanel(bench.ledger(), bench.desk().units()));
        start = new OnDemand<>(() -> new StartPanel(bench.plan().target()));
        calculator = new OnDemand<>(() -> new CalculatorPanel(new CalculatorViewModel(bench.desk())));
        ImportPanel imports = new ImportPanel(bench.importing(), bench.mapping());
        overlays.addHoldingWork(imports, imports::putAway);
        overlays.addHoldingWork(new MappingPanel(bench.mapping(), bench.appearance(), files::saveText),
                bench.mapping()::putAway);
        JoinPanel join = new JoinPanel(joining);
        overlays.add(join, join::putAway);
    }

    /** A panel that is made and laid over the page when it is first asked for. */
    private final class OnDemand<T extends Node> {
        private final Supplier<T> maker;
        private T made;

        OnDemand(Supplier<T> maker) {
            this.maker = maker;
        }

        T get() {
            if (made == null) {
                T panel = maker.get();
                made = panel;
                overlays.add(panel, () -> panel.setVisible(false));
            }
            return made;
        }
    }

    /** Schools and the time convention, shown or put away. */
    void settings() {
        settings.get().toggle();
    }

    /** How logs of other programs are read. */
    void keptMappings() {
        keptMappings.get().open();
    }

    /** Entries of those shots. */
    void edit(List<ShotSummary> shots) {
        bulk.get().open(shots);
    }

    /** Entries of all shots shown. */
    void editShown() {
        bulk.get().open(bench.rack().shown());
    }

    /** What is in the bin. */
    void bin() {
        bin.get().open();
    }

    /** What copying from the previous shot would write. */
    void copyPrevious() {
        copying.get().open();
    }

    /** What the coffee that is dialled in is begun with. */
    void startRecipe() {
        start.get().open();
    }

    /** The balance of dissolved solids, to solve. */
    void calculator() {
        calculator.get().open();
    }
}
