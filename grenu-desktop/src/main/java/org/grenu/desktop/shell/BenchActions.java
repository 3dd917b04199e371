package org.grenu.desktop.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.grenu.app.export.ComparisonExport;
import org.grenu.app.export.ShotExport;
import org.grenu.app.settings.StudySettings;
import org.grenu.desktop.action.Action;
import org.grenu.desktop.action.Actions;
import org.grenu.desktop.desk.Workspace;

/** Everything that can be done on the bench, wherever one stands. */
final class BenchActions {

    static final String SAVE = "Save";
    static final String SAVE_COMPARISON = "Save a comparison";
    static final String LIBRARY = "Library";

    static final String NO_SHOT = "No shot is open: open one in the rack.";

    private final Bench bench;
    private final FileRequests files;
    private final Panels panels;
    private final Reach reach;

    private BenchActions(Bench bench, FileRequests files, Panels panels, Reach reach) {
        this.bench = bench;
        this.files = files;
        this.panels = panels;
        this.reach = reach;
    }

    /** Places of the window that actions lead to. */
    interface Reach {

        /** The field that filters the rack. */
        void filter();

        /** The next entry of the open shot that is unknown. */
        void nextUnknown();

        /** The find-or-do field. */
        void findOrDo();
    }

    static Actions of(Bench bench, FileRequests files, Panels panels, Reach reach) {
        BenchActions all = new BenchActions(bench, files, panels, reach);
        return new Actions(List.of(new Actions.Group("Go", all.go()), new Actions.Group("Shots", all.shots()),
                new Actions.Group(SAVE, all.save()),
                new Actions.Group(SAVE_COMPARISON, all.saveComparison()), new Actions.Group(LIBRARY, all.library()),
                new Actions.Group("Window", all.window())));
    }

    private List<Action> go() {
        List<Action> go = new ArrayList<>();
        go.add(Action
                .of("find-or-do", "Find or do…", "Find any shot, coffee, gear or setting, or say what to do",
                        reach::findOrDo)
                .on("Shortcut+K"));
        Stream.of(Workspace.values()).map(this::workspace).forEach(go::add);
        go.add(Action.of("go-filter", "Filter the rack", "Show the shots that fit what is typed", reach::filter)
                .on("Shortcut+F"));
        return go;
    }

    private Action workspace(Workspace place) {
        return Action
                .of("workspace-" + place.name().toLowerCase(Locale.ROOT), place.title(), place.meaning(),
                        () -> bench.workspace().set(place))
                .on("Shortcut+" + (place.ordinal() + 1));
    }

    private List<Action> shots() {
        return List.of(
                Action.of("new-shot", "New shot", "Write down a shot without a log; a log may come later",
                        this::newShot).on("Shortcut+N"),
                Action.of("import", "Import…", "Import shot logs, or drop files on the window", files::importShots)
                        .on("Shortcut+O"),
                Action.of("map-log", "Map a log…", "Say what the columns of any log mean, and import its shots",
                        files::mapLog).on("Shortcut+M"),
                Action.of("give-log-to-open", "Give the open shot a log…",
                        "The shot keeps what is written down and takes the curves of a file", files::giveLog)
                        .unless(this::whyNoLog),
                Action.of("take-readings", "Take strength readings",
                        "A guided series of refractometer readings", this::takeReadings)
                        .on("Shortcut+T")
                        .unless(openShot()),
                Action.of("copy-previous", "Copy from previous shot",
                        "Fill what is unknown with what was set up for the previous shot", panels::copyPrevious)
                        .on("Shortcut+L")
                        .unless(openShot()),
                Action.of("fill-in", "Next unknown entry", "Put the caret where the next thing is unknown",
                        this::fillIn).on("Shortcut+R").unless(openShot()),
                Action.of("edit-shown", "Edit all shots shown…", "Change entries of every shot that the rack shows",
                        panels::editShown).on("Shortcut+E").unless(someShots()),
                Action.of("bin-open", "Put the open shot into the bin",
                        "It no longer counts anywhere, and can be taken out again",
                        () -> bench.rack().bin(List.of(bench.desk().openProperty().get().summary())))
                        .unless(openShot()),
                Action.of("undo", "Undo", "Undo the last step, whatever it was", bench.desk()::undo)
                        .on("Shortcut+Z")
                        .unless(unless(() -> bench.desk().editDepthProperty().get().undoable() == 0,
                                "Nothing was changed in this library.")),
                Action.of("redo", "Redo", "Redo the step that was undone last", bench.desk()::redo)
                        .on("Shortcut+Shift+Z", "Shortcut+Y")
                        .unless(unless(() -> bench.desk().editDepthProperty().get().redoable() == 0,
                                "Nothing was undone.")));
    }

    private List<Action> save() {
        return Stream.of(ShotExport.values())
                .map(kind -> Action
                        .of("export-" + kind.name().toLowerCase(Locale.ROOT), kind.title(),
                                kind == ShotExport.STUDY_TABLE ? "Export the study" : "Export the open shot",
                                () -> files.save(kind))
                        .unless(kind == ShotExport.STUDY_TABLE ? someShots() : openShot()))
                .toList();
    }

    private List<Action> saveComparison() {
        return Stream.of(ComparisonExport.values())
                .map(kind -> Action.of("compare-export-" + kind.name().toLowerCase(Locale.ROOT), kind.title(),
                        "Export what was compared", () -> files.save(kind))
                        .unless(this::whyNoAnswer))
                .toList();
    }

    private List<Action> library() {
        return List.of(
                Action.of("library-export", "Save all as a data package…",
                        "Export all shots and the shelf as open tables", files::savePackage).unless(someShots()),
                Action.of("library-export-shown", "Save the shots shown as a data package…",
                        "Export the shots that the rack shows, and the shelf", files::savePackageOfShown)
                        .unless(someShots()),
                Action.of("library-workbook", "Save all for spreadsheets…",
                        "Export all shots and the shelf as a workbook", files::saveWorkbook).unless(someShots()),
                Action.of("library-merge", "Merge a package or another library…",
                        "A shot that is there already is not added again",
                        files::merge),
                Action.of("library-join", "Join a table to the shots…",
                        "Enter what a table says of shots, after a look at it", files::join).unless(someShots()),
                Action.of("library-backup", "Back up…", "A copy that is read back and compared", files::backUp),
                Action.of("library-restore", "Restore a backup…", "The library as it is now is kept beside it",
                        files::restore),
                Action.of("library-mappings", "Kept mappings…",
                        "How logs of other programs are read: to rename, share and delete", panels::keptMappings),
                Action.of("library-bin", "Bin…", "What was put away, to take out again", panels::bin));
    }

    private List<Action> window() {
        return List.of(
                Action.of("calculator", "Calculator",
                        "Dose, beverage mass, strength or extraction yield from the others", panels::calculator)
                        .on("Shortcut+Shift+K"),
                Action.of("settings", "Settings", "Schools, time convention", panels::settings).on("Shortcut+,"),
                Action.of("larger", "Larger text", "Show everything larger, up to 200 %", () -> size(1))
                        .on("Shortcut+Equals")
                        .unless(() -> size() < 200 ? Optional.empty() : Optional.of("Larger than 200 % is not shown.")),
                Action.of("smaller", "Smaller text", "Show everything smaller, down to 100 %", () -> size(-1))
                        .on("Shortcut+Minus")
                        .unless(() -> size() > 100 ? Optional.empty() : Optional.of("The text is at 100 %.")),
                Action.of("look", "Light or dark", "Light or dark", bench.appearance()::switchTheme).on("Shortcut+D"));
    }

    private int size() {
        return bench.desk().settingsProperty().get().display().textSize();
    }

    private void size(int steps) {
        StudySettings now = bench.desk().settingsProperty().get();
        bench.desk().choose(now.with(now.display().larger(steps)));
    }

    private void newShot() {
        bench.workspace().set(Workspace.READ);
        bench.notebook().begin();
    }

    private void takeReadings() {
        bench.workspace().set(Workspace.READ);
        bench.series().show();
    }

    private void fillIn() {
        bench.workspace().set(Workspace.READ);
        reach.nextUnknown();
    }

    private Optional<String> whyNoAnswer() {
        if (bench.compare().answeredProperty().get() == null) {
            return Optional.of("Nothing was compared yet: pick shots in Compare.");
        }
        return bench.compare().busyProperty().get()
                ? Optional.of("The answer is being computed anew. Save it when it is there.") : Optional.empty();
    }

    private Optional<String> whyNoLog() {
        if (bench.desk().openProperty().get() == null) {
            return Optional.of(NO_SHOT);
        }
        return bench.notebook().unloggedProperty().get() ? Optional.empty() : Optional.of("The open shot has a log.");
    }

    private Supplier<Optional<String>> openShot() {
        return unless(() -> bench.desk().openProperty().get() == null, NO_SHOT);
    }

    private Supplier<Optional<String>> someShots() {
        return unless(bench.desk().shots()::isEmpty, "There are no shots yet: import some, or write one down.");
    }

    private static Supplier<Optional<String>> unless(BooleanSupplier stands, String why) {
        return () -> stands.getAsBoolean() ? Optional.of(why) : Optional.empty();
    }
}
