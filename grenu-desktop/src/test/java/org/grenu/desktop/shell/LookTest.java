package org.grenu.desktop.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.lang.reflect.Modifier;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Window;
import org.grenu.app.settings.Display;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.control.Styles;
import org.grenu.desktop.desk.Workspace;
import org.grenu.figures.theme.Theme;
import org.junit.jupiter.api.Test;

/** The window's look: the style sheet and Java agree, words fit, controls can be reached and named. */
class LookTest extends BenchFixture {

    private static String rules() throws IOException {
        try (InputStream in = ThemeSheet.class.getResourceAsStream("/org/grenu/desktop/grenu.css")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void theSheetHoldsEveryStyleClassAndNoColourOfItsOwn() throws Exception {
        String rules = rules();
        for (var field : Styles.class.getFields()) {
            if (Modifier.isStatic(field.getModifiers())) {
                assertThat(rules).as(field.getName()).containsPattern("\\." + field.get(null) + "[ .:,{>]");
            }
        }
        String withoutIds = rules.replaceAll("(?m)^#.*$", "").replaceAll("/\\*.*?\\*/", "");
        assertThat(withoutIds).doesNotContainPattern("#[0-9A-Fa-f]{3,8}\\b").doesNotContain("rgb(");
        Matcher used = Pattern.compile("-g-([a-z0-9-]+)").matcher(rules.replaceAll("/\\*.*?\\*/", ""));
        Set<String> roles = new TreeSet<>();
        while (used.find()) {
            roles.add(used.group(1));
        }
        assertThat(Theme.LIGHT.colors().keySet()).containsAll(roles);
    }

    /** At the smallest window, numbers are never cut off; only long names may be. */
    @Test
    void numbersFitAtTheSmallestSize() {
        openShot(5);
        smallest();
        interact(() -> {
            bench.desk()
                    .enter(RecordField.COFFEE,
                            "Lot with an exceedingly long name that no column can hold, washed and dried on raised "
                                    + "beds");
            bench.desk().enter(RecordField.PROFILE, "Gentle ramp with a long taper and a name to match");
        });
        until("the long name is shown", () -> text("profile").endsWith("to match"));
        List<String> cut = new ArrayList<>();
        interact(() -> labels(view)
                .filter(label -> inSight(label) && label.getWidth() > 0 && label.getText().matches(".*\\d.*"))
                .filter(label -> !label.getStyleClass().contains("recipe") && !label.getText().contains("ramp")
                        && !label.getText().contains("name"))
                .filter(label -> !label.getStyleClass().contains("rack-foot") && label.getParent().isVisible())
                .filter(LookTest::isCut)
                .forEach(label -> cut.add(label.getText())));
        assertThat(cut).isEmpty();
    }

    /**
     * At the smallest window no word or field hangs out of its column, on the shelf, in a series and in the
     * ledgers.
     */
    @Test
    void columnsHoldWhatStandsInThemAtTheSmallestSize() {
        openShot(5);
        smallest();
        interact(() -> bench.workspace().set(Workspace.SHELF));
        for (ShelfKind kind : List.of(ShelfKind.COFFEE, ShelfKind.MACHINE, ShelfKind.REFRACTOMETER)) {
            interact(() -> bench.shelf().choose(bench.desk().shelfProperty().get().of(kind).get(0)));
            until("it is drawn", () -> bench.shelf().cards().stream().anyMatch(card -> card.item().kind() == kind));
            assertThat(hangingOut("#shelf")).as(kind.title()).isEmpty();
            assertThat(hangingOut("#shelf-ledger")).as(kind.title()).isEmpty();
        }
        interact(() -> {
            bench.workspace().set(Workspace.READ);
            bench.series().show();
        });
        assertThat(hangingOut("#series")).isEmpty();
        assertThat(hangingOut(".ledger-page")).isEmpty();
    }

    private List<String> hangingOut(String column) {
        List<String> out = new ArrayList<>();
        interact(() -> {
            view.getScene().getRoot().layout();
            Bounds room = sight(lookup(column).query());
            all(lookup(column).query())
                    .filter(node -> (node instanceof Label || node instanceof TextInputControl
                            || node instanceof ButtonBase) && inSight(node))
                    .forEach(node -> {
                        Bounds at = node.localToScene(node.getLayoutBounds());
                        if (at.getWidth() > 0
                                && (at.getMaxX() > room.getMaxX() + 0.5 || at.getMinX() < room.getMinX() - 0.5)) {
                            out.add(node + " " + at.getMinX() + " to " + at.getMaxX() + " of " + room.getMinX() + " to "
                                    + room.getMaxX());
                        }
                    });
        });
        return out;
    }

    /** {@return what of the column its parent has room for} */
    private static Bounds sight(Node column) {
        Bounds own = column.localToScene(column.getLayoutBounds());
        Bounds around = column.getParent().localToScene(column.getParent().getLayoutBounds());
        double from = Math.max(own.getMinX(), around.getMinX());
        return new BoundingBox(from, own.getMinY(), Math.min(own.getMaxX(), around.getMaxX()) - from, own.getHeight());
    }

    /** The rules of the toolkit's theme are left out for what the window has not, and for nothing that it has. */
    @Test
    void everyControlIsDressed() {
        openShot(5);
        interact(() -> view.actions().get("settings").run());
        Set<String> dropped = ControlRules.dropped(Theme.LIGHT);
        assertThat(dropped).contains("table-view", "date-picker", "axis");
        Set<String> bare = new TreeSet<>();
        for (Workspace workspace : Workspace.values()) {
            interact(() -> bench.workspace().set(workspace));
            interact(() -> all(view).forEach(node -> node.getStyleClass()
                    .stream()
                    .filter(dropped::contains)
                    .forEach(style -> bare.add(style + " of " + node.getClass().getSimpleName()))));
        }
        for (String menu : List.of("#export", "#library-menu")) {
            interact(() -> lookup(menu).queryAs(MenuButton.class).show());
            interact(() -> Window.getWindows()
                    .stream()
                    .filter(window -> window.getScene() != null)
                    .flatMap(window -> all(window.getScene().getRoot()))
                    .forEach(node -> node.getStyleClass()
                            .stream()
                            .filter(dropped::contains)
                            .forEach(style -> bare.add(style + " of " + node.getClass().getSimpleName()))));
            interact(() -> lookup(menu).queryAs(MenuButton.class).hide());
        }
        assertThat(bare).isEmpty();
    }

    /**
     * At every text size, in the smallest window and in every workspace: nothing hangs out, nothing lies over
     * another.
     */
    @Test
    void everySizeOfTheWordsHasRoom() {
        openShot(5);
        smallest();
        for (int size : Display.TEXT_SIZES) {
            interact(() -> bench.desk().choose(sized(size)));
            for (Map.Entry<Workspace, List<String>> place : Map.of(Workspace.SHELF,
                    List.of("#shelf", "#shelf-ledger"), Workspace.READ, List.of("#read", ".ledger-page"),
                    Workspace.COMPARE, List.of("#compare", "#answer-ledger"))
                    .entrySet()) {
                interact(() -> bench.workspace().set(place.getKey()));
                until("it stands", () -> place.getKey() != Workspace.COMPARE
                        || bench.compare().answeredProperty().get() != null && !bench.compare().busyProperty().get());
                for (String column : place.getValue()) {
                    assertThat(hangingOut(column)).as("%s at %d %%", column, size).isEmpty();
                    assertThat(overlapping(column)).as("%s at %d %%", column, size).isEmpty();
                }
            }
            assertThat(hangingOut(".header")).as("header at %d %%", size).isEmpty();
            assertThat(overlapping(".header")).as("header at %d %%", size).isEmpty();
        }
        push(KeyCode.CONTROL, KeyCode.K);
        interact(() -> {
            Bounds panel = lookup("#find-or-do-panel").query()
                    .localToScene(
                            lookup("#find-or-do-panel").query().getLayoutBounds());
            assertThat(panel.getMinX()).as("what opens comes into sight").isBetween(-1.0, 1100 - panel.getWidth());
            assertThat(panel.getMinY()).isGreaterThan(-1);
        });
        push(KeyCode.ESCAPE);
        push(KeyCode.CONTROL, KeyCode.MINUS);
        assertThat(bench.desk().settingsProperty().get().display().textSize()).isEqualTo(175);
    }

    private List<String> overlapping(String column) {
        List<String> over = new ArrayList<>();
        interact(() -> {
            List<Node> words = all(lookup(column).query())
                    .filter(node -> (node instanceof Label || node instanceof TextInputControl
                            || node instanceof ButtonBase) && inSight(node) && !(node.getParent() instanceof ButtonBase)
                            && node.getLayoutBounds().getWidth() > 0)
                    .toList();
            for (int i = 0; i < words.size(); i++) {
                for (int j = i + 1; j < words.size(); j++) {
                    Bounds a = words.get(i).localToScene(words.get(i).getLayoutBounds());
                    Bounds b = words.get(j).localToScene(words.get(j).getLayoutBounds());
                    if (Math.min(a.getMaxX(), b.getMaxX()) - Math.max(a.getMinX(), b.getMinX()) > 1
                            && Math.min(a.getMaxY(), b.getMaxY()) - Math.max(a.getMinY(), b.getMinY()) > 1
                            && words.get(i).getParent() == words.get(j).getParent()) {
                        over.add(words.get(i) + " and " + words.get(j));
                    }
                }
            }
        });
        return over;
    }

    private static boolean isCut(Label label) {
        Node text = label.lookup(".text");
        return text instanceof Text shown && shown.getText().endsWith("...") && !label.getText().endsWith("...");
    }

    private static Stream<Label> labels(Node node) {
        Stream<Label> own = node instanceof Label label ? Stream.of(label) : Stream.empty();
        return node instanceof Parent parent
                ? Stream.concat(own, parent.getChildrenUnmodifiable().stream().flatMap(LookTest::labels)) : own;
    }

    @Test
    void everyControlHasAName() {
        openShot(5);
        List<String> nameless = new ArrayList<>();
        interact(() -> all(view).filter(Node::isFocusTraversable).forEach(node -> {
            boolean named = node.getAccessibleText() != null && !node.getAccessibleText().isBlank()
                    || node instanceof ButtonBase button && button.getText() != null && !button.getText().isBlank();
            if (!named && (node instanceof ButtonBase || node instanceof TextInputControl)) {
                nameless.add(node.toString());
            }
        }));
        assertThat(nameless).isEmpty();
    }

    private static Stream<Node> all(Node node) {
        return node instanceof Parent parent
                ? Stream.concat(Stream.of(node), parent.getChildrenUnmodifiable().stream().flatMap(LookTest::all))
                : Stream.of(node);
    }

    @Test
    void darkIsOneKeyAwayAndRepaintsEverything() {
        openShot(5);
        interact(() -> lookup("#rack").query().requestFocus());
        var light = bench.ledger().basisProperty().get();
        push(KeyCode.CONTROL, KeyCode.D);
        until("it is dark", () -> bench.appearance().themeProperty().get().dark());
        assertThat(bench.ledger().basisProperty().get()).isEqualTo(light);
        assertThat(bench.appearance().scale().get().color("1.2", Theme.DARK)).isEqualTo(Theme.DARK.color("seam-1"));
        push(KeyCode.CONTROL, KeyCode.D);
        until("it is light again", () -> !bench.appearance().themeProperty().get().dark());
    }

    /** The whole job by keyboard alone: find a shot, correct it, see the yield, take it back, save it. */
    @Test
    void theWholeJobGoesWithoutAMouse() throws IOException {
        openShot(18);
        push(KeyCode.CONTROL, KeyCode.F);
        write("straight grind:2.6", 0);
        until("the filter holds", () -> text("count").equals("2 of 49"));
        push(KeyCode.DOWN);
        until("the shot is open", () -> text("shot-title").equals("Shot 12"));
        enter("beverage_g", "40,0");
        until("the yield follows", () -> text("yield").equals("20.56"));
        push(KeyCode.CONTROL, KeyCode.Z);
        until("it is taken back", () -> text("yield").equals("20.61"));
        chosenTarget = folder.resolve("by-keyboard.csv");
        interact(() -> lookup("#export").query().requestFocus());
        push(KeyCode.SPACE);
        push(KeyCode.DOWN);
        push(KeyCode.ENTER);
        until("it is saved", () -> Files.exists(chosenTarget));
    }

    private StudySettings sized(int percent) {
        StudySettings now = bench.desk().settingsProperty().get();
        return now.with(now.display().withTextSize(percent));
    }
}
