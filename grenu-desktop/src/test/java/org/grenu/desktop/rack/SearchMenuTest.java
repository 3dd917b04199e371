package org.grenu.desktop.rack;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.grenu.core.quantity.Reported;
import org.grenu.library.Stored;
import java.util.Arrays;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.control.FxColor;
import org.grenu.desktop.desk.Workspace;
import org.grenu.figures.theme.Theme;
import org.junit.jupiter.api.Test;

/** What can be done with the shots that a search finds, and the rack's rows while it is scrolled. */
class SearchMenuTest extends BenchFixture {

    private MenuItem item(String id) {
        return ((MenuButton) lookup("#search-menu").query()).getItems()
                .stream()
                .filter(item -> id.equals(item.getId()))
                .findFirst()
                .orElseThrow();
    }

    private void open() {
        interact(() -> ((MenuButton) lookup("#search-menu").query()).show());
    }

    @Test
    void searchesAreKeptAndWhatWorkedIsFound() {
        openShot(5);
        open();
        assertThat(item("save-search").isDisable()).as("there is nothing to keep").isTrue();
        interact(() -> item("what-worked").fire());
        assertThat(bench.rack().filterProperty().get()).startsWith("coffee:\"Lot Heron 14\"");
        int worked = bench.rack().shown().size();
        assertThat(worked).isBetween(1, 26);

        open();
        assertThat(item("save-search").getText()).startsWith("Keep “coffee:");
        String search = bench.rack().filterProperty().get();
        interact(() -> item("save-search").fire());
        interact(() -> bench.rack().filterProperty().set(""));
        open();
        MenuItem kept = ((MenuButton) lookup("#search-menu").query()).getItems()
                .stream()
                .filter(item -> search.equals(item.getText()))
                .findFirst()
                .orElseThrow();
        interact(kept::fire);
        assertThat(bench.rack().shown()).hasSize(worked);
        open();
        assertThat(item("save-search").getText()).startsWith("Forget “");
        assertThat(item("bin-shown").getText()).isEqualTo("Put the " + worked + " shots shown into the bin");
    }

    @Test
    void shotsFoundAreEditedAndBinnedTogether() {
        openShot(5);
        interact(() -> bench.rack().filterProperty().set("siskin ageing"));
        open();
        interact(() -> item("edit-shown").fire());
        assertThat(lookup("#bulk-panel").query().isVisible()).isTrue();
        assertThat(lookup("#bulk-panel").lookup("Edit 12 shots").tryQuery()).isPresent();
        interact(() -> lookup("#bulk-close").queryButton().fire());

        open();
        interact(() -> item("bin-shown").fire());
        until("they are gone", () -> bench.desk().shots().size() == 37);
        assertThat(text("count")).isEqualTo("0 of 37");
        open();
        interact(() -> item("open-bin").fire());
        until("they are in the bin", () -> lookup("#bin-panel .link").queryAll().size() == 12);
        assertThat(lookup("#bin-panel").query().getBoundsInParent().getHeight())
                .as("the panel is as high as it must be")
                .isLessThan(480);
        interact(() -> lookup("#bin-panel .link").queryButton().fire());
        until("one is back",
                () -> bench.desk().shots().size() == 38 && lookup("#bin-panel .link").queryAll().size() == 11);
        interact(() -> {
            lookup("#bin-close").queryButton().fire();
            bench.desk().undo();
            bench.desk().undo();
        });
        until("all are back", () -> bench.desk().shots().size() == 49);

        interact(() -> bench.desk().inBin().put(bench.desk().shots().subList(0, 2)));
        until("two are gone", () -> bench.desk().shots().size() == 47);
        open();
        interact(() -> item("open-bin").fire());
        until("they are in the bin", () -> lookup("#bin-panel .link").queryAll().size() == 2);
        interact(() -> lookup("#bin-empty-it").queryButton().fire());
        until("it is said what that loses", () -> text("bin-loss")
                .startsWith("This loses for good: 2 shots and their logs and the files these came from, with"));
        interact(() -> lookup("#bin-empty-for-good").queryButton().fire());
        until("it is empty",
                () -> lookup("#bin-empty").tryQuery().isPresent()
                        && Stored.bin(bench.desk().library()).isEmpty());
        assertThat(bench.desk().shots()).hasSize(47);
    }

    /** The same nodes show one shot after another: each row must say what its shot says, wherever it was before. */
    @Test
    void rowsSayWhatTheirShotsSayHoweverFarTheRackWasScrolled() {
        openShot(5);
        interact(() -> bench.desk().enter(RecordField.FAULT, "choked"));
        until("it is faulty", () -> bench.desk().openProperty().get().summary().record().has(RecordField.FAULT));
        ListView<RackRow> list = lookup("#rack").queryListView();
        VirtualFlow<?> flow = (VirtualFlow<?>) list.lookup(".virtual-flow");
        for (int row : new int[] {0, list.getItems().size() - 1, 12, 30, 3, list.getItems().size() - 1, 0}) {
            interact(() -> {
                list.scrollTo(row);
                list.layout();
            });
            interact(() -> {
                for (int i = flow.getFirstVisibleCell().getIndex(); i <= flow.getLastVisibleCell().getIndex(); i++) {
                    check(list.getItems().get(i), flow.getCell(i));
                }
            });
        }
        interact(() -> bench.workspace().set(Workspace.COMPARE));
        interact(() -> list.lookupAll(".check-box")
                .stream()
                .filter(Node::isVisible)
                .map(CheckBox.class::cast)
                .forEach(box -> assertThat(box.isSelected()).as(box.getId())
                        .isEqualTo(bench.picked()
                                .ids()
                                .stream()
                                .anyMatch(id -> box.getId().equals("pick-" + numberOf(id))))));
        interact(() -> bench.workspace().set(Workspace.READ));
        interact(list::layout);
        assertThat(list.lookupAll(".check-box")).isEmpty();
    }

    /** At the smallest window too: names may be cut, numbers never. */
    @Test
    void numbersOfSlipsAreNeverCut() {
        openShot(5);
        smallest();
        ListView<RackRow> list = lookup("#rack").queryListView();
        for (int row = 0; row < list.getItems().size(); row += 6) {
            int top = row;
            interact(() -> {
                list.scrollTo(top);
                list.layout();
                list.lookupAll(".slip-body")
                        .stream()
                        .map(Node::getParent)
                        .filter(BenchFixture::inSight)
                        .map(SlipCard.class::cast)
                        .forEach(card -> assertThat(card.numbersFit()).isTrue());
            });
        }
        assertThat(SlipPaint
                .needed(new SlipText("10000", "18.0 → 140.0 g", "128.9 s",
                        Optional.of(new Reported("20.28", "0.16", "k = 2")), "", List.of(), "")))
                .isGreaterThan(190);
    }

    private int numberOf(long id) {
        return bench.desk().shots().stream().filter(shot -> shot.id() == id).findFirst().orElseThrow().number();
    }

    private void check(RackRow row, Node cell) {
        if (row instanceof RackRow.DayHeading heading) {
            List<String> words = cell.lookupAll(".label")
                    .stream()
                    .filter(BenchFixture::inSight)
                    .map(node -> ((Label) node).getText())
                    .toList();
            assertThat(words).contains(heading.day()).hasSize(2);
        } else if (row instanceof RackRow.Slip slip) {
            SlipText text = SlipText.of(slip.shot(), bench.desk().derived().of(slip.shot()),
                    bench.appearance().colourByProperty().get(),
                    bench.desk().settingsProperty().get());
            assertThat(cell.getAccessibleText()).startsWith("Shot " + text.number() + ", " + text.masses() + ", ")
                    .contains(text.yield(), String.join(", ", text.chips()));
            assertThat(cell.getAccessibleText().contains("faulty: ")).isEqualTo(!text.fault().isEmpty());
            SlipCard shown = (SlipCard) cell.lookup(".slip-body").getParent();
            Theme theme = bench.appearance().themeProperty().get();
            Canvas anew = new Canvas(canvas(shown).getWidth(), SlipPaint.HEIGHT);
            new SlipPaint(anew.getGraphicsContext2D(), theme, anew.getWidth()).paint(text,
                    slip.shot().digest().miniature(),
                    FxColor.of(bench.appearance().scale().get().color(slip.shot().record(), theme)), 0);
            assertThat(pixels(canvas(shown)))
                    .as("shot " + text.number() + " is drawn as if it were the first on its slip")
                    .isEqualTo(pixels(anew));
        }
    }

    private static Canvas canvas(SlipCard card) {
        return (Canvas) card.lookupAll("*").stream().filter(Canvas.class::isInstance).findFirst().orElseThrow();
    }

    private static int[] pixels(Canvas canvas) {
        SnapshotParameters clear = new SnapshotParameters();
        clear.setFill(Color.TRANSPARENT);
        WritableImage image = canvas.snapshot(clear, null);
        int[] pixels = new int[(int) image.getWidth() * (int) image.getHeight()];
        image.getPixelReader()
                .getPixels(0, 0, (int) image.getWidth(), (int) image.getHeight(), PixelFormat.getIntArgbInstance(),
                        pixels, 0, (int) image.getWidth());
        assertThat(Arrays.stream(pixels).anyMatch(pixel -> pixel != 0)).as("something is drawn").isTrue();
        return pixels;
    }
}
