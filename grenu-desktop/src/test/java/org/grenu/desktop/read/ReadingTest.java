package org.grenu.desktop.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.grenu.library.Stored;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.geometry.VerticalDirection;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.shape.Line;
import org.grenu.core.curve.Channel;
import org.grenu.core.record.RecordField;
import org.grenu.desktop.BenchFixture;
import org.grenu.figures.read.StripLayout;
import org.grenu.figures.read.AxisRange;
import org.junit.jupiter.api.Test;

/** Reading a shot's curves with mouse and keys. */
class ReadingTest extends BenchFixture {

    private StripsPane strips() {
        return lookup("#strips").queryAs(StripsPane.class);
    }

    private Point2D at(double seconds) {
        Bounds bounds = strips().localToScreen(strips().getBoundsInLocal());
        return new Point2D(bounds.getMinX() + strips().currentLayout().x(seconds), bounds.getMinY() + 300);
    }

    @Test
    void theHairlineFollowsTheMouseAndReadsEveryStrip() {
        openShot(1);
        moveTo(at(10)).moveTo(at(15));
        StripLayout layout = strips().currentLayout();
        assertThat(lookup("#hairline").queryAs(Line.class).getStartX()).isCloseTo(layout.x(15), within(1.5));
        double seconds = bench.read().cursorProperty().get();
        assertThat(seconds).isCloseTo(15, within(0.1));
        assertThat(layout.strips()).extracting(s -> s.channel())
                .containsExactly(Channel.PRESSURE, Channel.PUMP_FLOW, Channel.CUP_FLOW,
                        Channel.CUP_MASS, Channel.TEMPERATURE, Channel.RESISTANCE);
        double pressure = layout.strips().get(0).curve().at(seconds);
        assertThat(Double.parseDouble(text("reading-0"))).isCloseTo(pressure, within(0.006));
        double mass = layout.strips().get(3).curve().at(seconds);
        assertThat(Double.parseDouble(text("reading-3"))).isCloseTo(mass, within(0.06));
    }

    @Test
    void keysMoveTheHairlineAndZoom() {
        openShot(1);
        interact(() -> {
            lookup("#rack").query().requestFocus();
            bench.read().cursorProperty().set(10);
        });
        push(KeyCode.RIGHT);
        assertThat(bench.read().cursorProperty().get()).isCloseTo(10.1, within(1e-9));
        push(KeyCode.SHIFT, KeyCode.LEFT);
        assertThat(bench.read().cursorProperty().get()).isCloseTo(9.1, within(1e-9));
        interact(() -> strips().requestFocus());
        push(KeyCode.ADD);
        push(KeyCode.ADD);
        AxisRange zoomed = bench.read().viewProperty().get();
        AxisRange whole = bench.read().figureProperty().get().whole();
        assertThat(zoomed.length()).isCloseTo(whole.length() / 1.5625, within(1e-6));
        push(KeyCode.CONTROL, KeyCode.RIGHT);
        assertThat(bench.read().viewProperty().get().from()).isGreaterThan(zoomed.from());
        push(KeyCode.DIGIT0);
        assertThat(bench.read().viewProperty().get()).isEqualTo(whole);
    }

    @Test
    void wheelZoomsWhereItPointsDragPansAndDoubleClickShowsAll() {
        openShot(2);
        AxisRange whole = bench.read().figureProperty().get().whole();
        moveTo(at(20));
        // The headless toolkit turns the wheel the other way round than a mouse does.
        scroll(3, VerticalDirection.DOWN);
        AxisRange zoomed = bench.read().viewProperty().get();
        assertThat(zoomed.length()).isLessThan(whole.length());
        assertThat((20 - zoomed.from()) / zoomed.length()).as("the moment under the mouse stays there")
                .isCloseTo((20 - whole.from()) / whole.length(), within(0.02));
        drag(at(20), MouseButton.PRIMARY).dropBy(90, 0);
        assertThat(bench.read().viewProperty().get().from()).isLessThan(zoomed.from());
        doubleClickOn(at(18));
        assertThat(bench.read().viewProperty().get()).isEqualTo(whole);
    }

    @Test
    void theFigureIsPaintedInTheTreatmentsColour() {
        openShot(1);
        until("the figure is painted", () -> painted() != null);
        java.awt.Color wanted = bench.appearance()
                .scale()
                .get()
                .color(bench.desk().openProperty().get().summary().record(),
                        bench.appearance().themeProperty().get());
        until("the curve is there", () -> {
            Image image = painted();
            int found = 0;
            for (int y = 0; y < image.getHeight(); y++) {
                for (int x = 0; x < image.getWidth(); x++) {
                    found += (image.getPixelReader().getArgb(x, y) & 0xFFFFFF) == (wanted.getRGB() & 0xFFFFFF) ? 1 : 0;
                }
            }
            return found > 800;
        });
    }

    private Image painted() {
        return strips().getChildrenUnmodifiable()
                .stream()
                .filter(n -> n instanceof ImageView)
                .map(n -> ((ImageView) n).getImage())
                .findFirst()
                .orElse(null);
    }

    @Test
    void theStripsBeginWhereTheReaderWantsAndTheHairlineKeepsItsMoment() {
        openShot(5);
        double drip = bench.desk().openProperty().get().measures().curve().times().firstDrip().orElseThrow().seconds();
        interact(() -> bench.read().showAt(drip + 10));
        interact(() -> lookup("#axis-first_drip").queryAs(ToggleButton.class).fire());
        assertThat(bench.read().cursorProperty().get()).isCloseTo(10, within(1e-6));
        interact(() -> lookup("#axis-cup_mass").queryAs(ToggleButton.class).fire());
        assertThat(bench.read().figureProperty().get().axis().unit()).isEqualTo("g");
        assertThat(bench.read().cursorProperty().get()).isBetween(5.0, 25.0);
        clickOn("#strip-choice").clickOn("#strip-pump_flow");
        assertThat(strips().currentLayout().strips()).extracting(s -> s.channel()).doesNotContain(Channel.PUMP_FLOW);
        clickOn("#strip-resistance-up");
        assertThat(bench.read().options().channels()).endsWith(Channel.RESISTANCE, Channel.TEMPERATURE);
        push(KeyCode.ESCAPE);
        until("the choice is kept",
                () -> "cup_mass".equals(Stored.settings(bench.desk().library()).get("read_axis")));
    }

    @Test
    void aBorderIsDraggedStoredUndoneAndMovedByKeys() {
        openShot(5);
        double border = bench.desk().openProperty().get().phases().get(2).seconds();
        drag(at(border), MouseButton.PRIMARY).dropTo(at(border + 1.5));
        until("it is stored", () -> bench.desk().openProperty().get().summary().record().phases().size() > 2);
        assertThat(bench.desk().openProperty().get().phases().get(2).seconds()).isCloseTo(border + 1.5, within(0.3));
        assertThat(bench.read().processing()).contains("set by hand");
        double moved = bench.desk().openProperty().get().phases().get(2).seconds();
        interact(() -> {
            bench.read().cursorProperty().set(moved - 0.3);
            strips().requestFocus();
        });
        push(KeyCode.ALT, KeyCode.LEFT);
        until("the key moved it", () -> bench.desk().openProperty().get().phases().get(2).seconds() < moved - 0.05);
        clickOn("#find-phases");
        until("found again", () -> !bench.desk().openProperty().get().summary().record().has(RecordField.PHASES));
        assertThat(bench.desk().openProperty().get().phases().get(2).seconds()).isCloseTo(border, within(1e-9));
    }

    /** The keys of the strips are letters of a note. */
    @Test
    void everyLetterCanBeTypedIntoANote() {
        openShot(5);
        interact(() -> {
            bench.read().cursorProperty().set(30);
            strips().requestFocus();
        });
        double shown = bench.read().viewProperty().get().length();
        push(KeyCode.N);
        for (KeyCode key : List.of(KeyCode.N, KeyCode.G, KeyCode.DIGIT0, KeyCode.MINUS, KeyCode.N)) {
            push(key);
        }
        assertThat(field("note").getText()).isEqualTo("ng0-n");
        assertThat(text("ghost")).as("nothing is held behind").isEqualTo("Set as ghost");
        assertThat(bench.read().viewProperty().get().length()).as("nothing is zoomed").isEqualTo(shown);
    }

    @Test
    void aNoteIsTypedAtTheHairlineAndAGhostHeldBehind() {
        openShot(5);
        interact(() -> {
            bench.read().cursorProperty().set(30);
            strips().requestFocus();
        });
        push(KeyCode.N);
        write("first streak; left").push(KeyCode.ENTER);
        until("it is kept", () -> !bench.desk().openProperty().get().summary().record().momentNotes().isEmpty());
        assertThat(bench.desk().openProperty().get().summary().record().momentNotes().get(0)).satisfies(note -> {
            assertThat(note.words()).isEqualTo("first streak, left");
            assertThat(note.seconds()).isCloseTo(30, within(0.11));
        });
        interact(() -> strips().requestFocus());
        push(KeyCode.G);
        openShot(7);
        assertThat(text("ghost")).startsWith("Ghost: shot 5");
        assertThat(bench.read().figureProperty().get().strips().get(0).ghost()).isPresent();
        clickOn("#ghost");
        assertThat(bench.read().figureProperty().get().strips().get(0).ghost()).isEmpty();
    }
}
