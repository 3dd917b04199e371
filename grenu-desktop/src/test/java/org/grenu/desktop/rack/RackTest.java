package org.grenu.desktop.rack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.ListCell;
import javafx.scene.control.MenuItem;
import javafx.scene.input.ContextMenuEvent;
import javafx.scene.input.KeyCode;
import javafx.stage.Window;
import org.grenu.app.settings.StudySettings;
import org.grenu.core.record.Factor;
import org.grenu.core.record.RecordFactor;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.grenu.library.ShotSummary;
import org.junit.jupiter.api.Test;

/** The rack: order, days, filter, colour, arrow keys. */
class RackTest extends BenchFixture {

    @Test
    void slipsAreGroupedByDayNewestFirstAndSayWhatMatters() {
        openShot(39);
        List<RackRow> rows = List.copyOf(bench.rack().rows());
        assertThat(rows.get(0)).isEqualTo(new RackRow.DayHeading("Thu 2 Jul 2026", 1));
        assertThat(rows.get(2)).isEqualTo(new RackRow.DayHeading("Thu 25 Jun 2026", 3));
        assertThat(shown()).startsWith(49, 48, 47).endsWith(2, 1).hasSize(49);
        ShotSummary fifth = bench.desk().shots().get(4);
        SlipText text = SlipText.of(fifth, bench.desk().derived().of(fifth), RecordFactor.PROFILE,
                StudySettings.USUAL);
        assertThat(text.masses()).isEqualTo("17.9 → 39.2 g");
        assertThat(text.time()).isEqualTo("48.1 s");
        assertThat(text.yield() + " " + text.expanded()).isEqualTo("21.97 ±0.16");
        assertThat(text.chips()).containsExactly("Gentle ramp", "grind 2.4", "93 °C");
        assertThat(SlipText.of(bench.desk().shots().get(5), bench.desk().derived().of(bench.desk().shots().get(5)),
                RecordFactor.GRIND, StudySettings.USUAL).missing()).isEqualTo("needs strength");
        assertThat(slips()).contains(
                "Shot 39, 18.1 → 40.3 g, 22.7 s, extraction yield 21.02 ±0.16 percent as dosed, grind 2.4, 93 °C, "
                        + "Straight nine");
        assertThat(text("library-path")).startsWith("Library ").contains("library.sqlite");
    }

    private List<Integer> shown() {
        return bench.rack()
                .rows()
                .stream()
                .filter(r -> r instanceof RackRow.Slip)
                .map(r -> ((RackRow.Slip) r).shot().number())
                .toList();
    }

    @Test
    void typingFiltersAndEscapeClears() {
        openShot(18);
        clickOn("#filter").write("gentle grind:2.2", 0);
        until("two shots are left", () -> text("count").equals("2 of 49"));
        assertThat(shown()).containsExactly(14, 7);
        push(KeyCode.DOWN);
        until("the first that passes is open", () -> text("shot-title").equals("Shot 14"));
        push(KeyCode.DOWN);
        until("the next one is open", () -> text("shot-title").equals("Shot 7"));
        push(KeyCode.ESCAPE);
        until("all are back", () -> text("count").equals("49 shots"));
        write("ey>99", 0);
        until("none is left", () -> lookup("No shot passes the filter. Esc clears it.").tryQuery().isPresent());
    }

    /** A word that is half typed does not empty the rack: the rows stay, and what may follow is said. */
    @Test
    void halfTypedWordsKeepTheRows() {
        openShot(18);
        clickOn("#filter").write("gentle grind:2.2", 0);
        until("two shots are left", () -> text("count").equals("2 of 49"));
        write(" ey", 0);
        assertThat(text("filter-hint")).isEqualTo("Goes on: ey> ey:");
        write(">", 0);
        assertThat(shown()).containsExactly(14, 7);
        assertThat(text("filter-hint")).isEqualTo("ey: a number is to follow");
        write("0", 0);
        until("it is whole", () -> text("filter-hint").isEmpty());
        assertThat(shown()).containsExactly(14, 7);
        interact(() -> bench.rack().filterProperty().set("coffee:"));
        assertThat(text("filter-hint")).startsWith("coffee: Lot ");
        assertThat(shown()).as("as before").hasSize(2);
        interact(() -> bench.rack().filterProperty().set("grnd:"));
        assertThat(text("filter-hint")).isEqualTo("No field is called “grnd”. Did you mean grind?");
        interact(() -> bench.rack().filterProperty().set("time:20-"));
        assertThat(text("filter-hint")).isEqualTo("time: a number is to follow");
    }

    /** Whoever puts a shot away stands at its neighbour, by key, by menu, and within what the filter shows. */
    @Test
    void afterABinnedShotComesItsNeighbour() {
        openShot(14);
        interact(() -> bench.rack().filterProperty().set("gentle grind:2.2"));
        interact(() -> lookup("#rack").query().requestFocus());
        push(KeyCode.DELETE);
        until("the next below is read", () -> text("shot-title").equals("Shot 7"));
        until("14 is gone", () -> shown().equals(List.of(7)));
        interact(() -> bench.rack().filterProperty().set(""));
        openInRack(20);
        ListCell<?> cell = (ListCell<?>) lookup("#rack").lookup(".list-cell")
                .queryAll()
                .stream()
                .filter(node -> node instanceof ListCell<?> slip && slip.isSelected())
                .findFirst()
                .orElseThrow();
        interact(() -> cell.getOnContextMenuRequested()
                .handle(new ContextMenuEvent(ContextMenuEvent.CONTEXT_MENU_REQUESTED, 5, 5, 5, 5, false, null)));
        until("the menu is there", () -> menuItem("slip-bin").isPresent());
        interact(() -> menuItem("slip-bin").orElseThrow().fire());
        until("19 is read", () -> text("shot-title").equals("Shot 19"));
        until("20 is gone", () -> !shown().contains(20));
        interact(() -> bench.desk().undo());
        until("20 is back and read", () -> text("shot-title").equals("Shot 20"));
    }

    private void openInRack(int number) {
        interact(() -> bench.desk()
                .shots()
                .stream()
                .filter(shot -> shot.number() == number)
                .forEach(shot -> bench.desk().select(shot.id())));
        until("it is open", () -> text("shot-title").equals("Shot " + number));
        until("it is chosen in the rack", () -> lookup("#rack").lookup(".list-cell")
                .queryAll()
                .stream()
                .anyMatch(node -> node instanceof ListCell<?> slip && slip.isSelected()));
    }

    private static Optional<MenuItem> menuItem(String id) {
        return Window.getWindows()
                .stream()
                .filter(window -> window instanceof ContextMenu)
                .flatMap(menu -> ((ContextMenu) menu).getItems().stream())
                .filter(item -> id.equals(item.getId()))
                .findFirst();
    }

    /** The file that a log came in is told by slip, header and files, and found by the filter. */
    @Test
    void theLogsFileIsShownAndFound() {
        openShot(5);
        assertThat(text("shot-file")).isEqualTo("heron-05.csv");
        assertThat(text("log-file")).isEqualTo("Log: heron-05.csv");
        interact(() -> bench.rack().filterProperty().set("file:heron-05"));
        until("it is found", () -> shown().equals(List.of(5)));
        ListCell<?> slip = (ListCell<?>) lookup("#rack").lookup(".list-cell")
                .queryAll()
                .stream()
                .filter(node -> node instanceof ListCell<?> cell && cell.getItem() instanceof RackRow.Slip)
                .findFirst()
                .orElseThrow();
        assertThat(slip.getAccessibleHelp()).startsWith("Shot 5\nheron-05.csv\n");
    }

    @Test
    void arrowKeysWalkThroughTheShotsAcrossDays() {
        openShot(11);
        interact(() -> lookup("#rack").query().requestFocus());
        push(KeyCode.DOWN);
        push(KeyCode.DOWN);
        until("over the day's edge", () -> text("shot-title").equals("Shot 9"));
        push(KeyCode.UP);
        until("back again", () -> text("shot-title").equals("Shot 10"));
        push(KeyCode.END);
        until("at the end", () -> text("shot-title").equals("Shot 1"));
        push(KeyCode.DOWN);
        until("and no further", () -> text("shot-title").equals("Shot 1"));
    }

    /** Whoever presses faster than shots open comes as far as the keys say. */
    @Test
    void noKeyIsLost() {
        openShot(30);
        interact(() -> {
            for (int i = 0; i < 12; i++) {
                bench.rack().step(1);
            }
        });
        until("twelve further", () -> text("shot-title").equals("Shot 18"));
    }

    /** Wherever it lies among headings and slips, the shot that is read is wholly in sight. */
    @Test
    void theOpenShotIsInSight() {
        for (int number : new int[] {1, 39, 2, 20, 1}) {
            openShot(number);
            Node list = lookup("#rack").query();
            until("shot " + number + " is in sight", () -> lookup("#rack").lookup(".list-cell")
                    .queryAll()
                    .stream()
                    .filter(cell -> cell instanceof ListCell<?> slip && slip.isSelected() && !slip.isEmpty())
                    .anyMatch(cell -> list.getLayoutBounds()
                            .contains(list.sceneToLocal(cell.localToScene(cell.getLayoutBounds())))));
        }
    }

    @Test
    void theChosenFactorColoursTheStudy() {
        openShot(18);
        var byGrind = bench.appearance().scale().get();
        assertThat(byGrind.levels()).containsExactly("1.2", "2", "2.2", "2.4", "2.6", "2.8", "3", "4.4");
        @SuppressWarnings("unchecked")
        ChoiceBox<Factor> choice = lookup("#colour-by").queryAs(ChoiceBox.class);
        interact(() -> choice.setValue(RecordFactor.PROFILE));
        var byProfile = bench.appearance().scale().get();
        assertThat(byProfile.levels()).containsExactly("Even flow", "Gentle ramp", "Low six", "Straight nine");
        var theme = bench.appearance().themeProperty().get();
        var ofOpen = bench.desk().openProperty().get().summary().record();
        assertThat(byProfile.color(ofOpen, theme)).isEqualTo(theme.color("chip-2"))
                .isNotEqualTo(byGrind.color(ofOpen, theme));
        enter(RecordField.PROFILE.key(), "Zigzag");
        until("the new level has a colour", () -> bench.appearance().scale().get().levels().contains("Zigzag"));
    }
}
