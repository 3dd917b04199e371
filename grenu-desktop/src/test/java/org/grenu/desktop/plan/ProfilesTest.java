package org.grenu.desktop.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.util.OptionalDouble;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import org.grenu.core.profile.Profile;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfItem;
import org.grenu.core.shelf.ShelfKind;
import org.grenu.desktop.BenchFixture;
import org.grenu.desktop.desk.Notice;
import org.grenu.desktop.desk.Workspace;
import org.grenu.figures.plan.ProfileHandle;
import org.grenu.figures.plan.ProfileLayout;
import org.junit.jupiter.api.Test;

/** Profiles drawn on their strips, by mouse, keys and text. */
class ProfilesTest extends BenchFixture {

    private static final double SIDE = 14;

    private void gentle() {
        openShot(5);
        interact(() -> {
            bench.workspace().set(Workspace.PLAN);
            bench.plan().tab().set(PlanTab.PROFILES);
            bench.plan().profiles().choose("Gentle ramp");
        });
        until("it is predicted", () -> bench.plan().profiles().figureProperty().get() != null
                && text("profile-title").startsWith("Gentle ramp, version "));
    }

    private Profile steps() {
        return bench.desk()
                .shelfProperty()
                .get()
                .find(ShelfKind.PROFILE, "Gentle ramp")
                .flatMap(item -> item.entries().entry(RecordField.PROFILE_STEPS))
                .map(Profile::parse)
                .orElseThrow();
    }

    private void mouse(Node node, EventType<MouseEvent> type, double x, double y) {
        Point2D scene = node.localToScene(x, y);
        Point2D screen = node.localToScreen(x, y);
        node.fireEvent(new MouseEvent(type, scene.getX(), scene.getY(), screen.getX(), screen.getY(),
                MouseButton.PRIMARY, 1, false, false,
                false, false, true, false, false, true, false, true, null));
    }

    private void drag(ProfileHandle.Kind kind, int step, double byY) {
        Node editor = lookup("#profile-editor").query();
        interact(() -> {
            ProfileHandle handle = new ProfileLayout(bench.plan().profiles().figureProperty().get(),
                    editor.getLayoutBounds().getWidth() - 2 * SIDE, editor.getLayoutBounds().getHeight()).handles()
                    .stream()
                    .filter(one -> one.kind() == kind && one.step() == step)
                    .findFirst()
                    .orElseThrow();
            mouse(editor, MouseEvent.MOUSE_PRESSED, handle.x() + SIDE, handle.y());
            mouse(editor, MouseEvent.MOUSE_DRAGGED, handle.x() + SIDE, handle.y() + byY);
        });
        until("the old line stays beside the new one",
                () -> bench.plan().profiles().figureProperty().get().before().isPresent());
        interact(() -> mouse(editor, MouseEvent.MOUSE_RELEASED, 0, 0));
    }

    /** An edit of a profile that shots were pulled by begins the next version; those shots keep their steps. */
    @Test
    void aDragIsKeptAsTheNextVersionAndUndone() {
        gentle();
        drag(ProfileHandle.Kind.LEVEL, 0, -20);
        until("there are two versions", () -> bench.desk()
                .shelfProperty()
                .get()
                .find(ShelfKind.PROFILE, "Gentle ramp")
                .filter(item -> item.versions().size() == 2)
                .isPresent());
        assertThat(steps().steps().get(0).to()).isGreaterThan(2.6);
        ShelfItem item = bench.desk().shelfProperty().get().find(ShelfKind.PROFILE, "Gentle ramp").orElseThrow();
        assertThat(item.versions().get(0).entries().entry(RecordField.PROFILE_STEPS).orElseThrow())
                .startsWith("soak: pressure 2.4");
        assertThat(bench.desk().shots().get(2).record().profileSteps().orElseThrow().steps().get(0).to())
                .isEqualTo(2.4);
        until("it says so", () -> text("profile-state").startsWith("no shot by this version yet"));
        drag(ProfileHandle.Kind.LIMIT, 0, 10);
        until("the draft is edited where it is", () -> steps().steps().get(0).limit().orElse(9) < 4.4);
        assertThat(bench.desk().shelfProperty().get().find(ShelfKind.PROFILE, "Gentle ramp").orElseThrow().versions())
                .hasSize(2);
        push(KeyCode.CONTROL, KeyCode.Z);
        until("the limit is back", () -> steps().steps().get(0).limit().orElse(0) == 4.5);
    }

    /** Each step may say how hot its water is: a strip of its own, with a handle for each. */
    @Test
    void waterIsDrawnByStep() {
        gentle();
        interact(() -> lookup("#profile-water").queryButton().fire());
        until("the water has a strip", () -> bench.plan().profiles().figureProperty().get().strips().size() == 4);
        assertThat(steps().text()).contains("flow at most 4.5, water at 93 °C until");
        drag(ProfileHandle.Kind.WATER, 1, 9);
        until("that step is cooler", () -> steps().steps().get(1).water().orElse(99) < 93);
        assertThat(steps().steps().get(0).water()).hasValue(93);
        assertThat(lookup("#profile-too-hot").tryQuery()).isEmpty();
        interact(() -> bench.plan()
                .profiles()
                .keep(steps().heatedBy(93)
                        .with(1, steps().steps().get(1).brewedAt(OptionalDouble.of(100)))));
        until("steam is warned of", () -> lookup("#profile-too-hot").tryQuery().isPresent());
        assertThat(text("profile-too-hot")).startsWith("Water boils at 98.9 °C here: 100 °C would flash to steam");
        interact(() -> lookup("#profile-water").queryButton().fire());
        until("as the machine is set", () -> !steps().heats());
    }

    @Test
    void keysWalkTheHandlesAndMoveThem() {
        gentle();
        interact(() -> lookup("#profile-editor").query().requestFocus());
        push(KeyCode.TAB);
        until("a handle has the keys", () -> bench.plan().profiles().handleProperty().get() != null);
        ProfileHandle first = bench.plan().profiles().handleProperty().get();
        double before = first.value(bench.plan().profiles().profile());
        push(KeyCode.UP);
        push(KeyCode.UP);
        until("it is kept once the keys rest", () -> bench.desk()
                .shelfProperty()
                .get()
                .find(ShelfKind.PROFILE, "Gentle ramp")
                .filter(item -> item.versions().size() == 2)
                .isPresent());
        assertThat(first.value(steps())).isCloseTo(before + 0.2, within(1e-9));
        push(KeyCode.DELETE);
        until("its step is gone", () -> steps().steps().size() == 3);
    }

    @Test
    void textGoesBothWaysAndSaysWhatItDoesNotUnderstand() {
        gentle();
        interact(() -> lookup("#profile-as-text").queryButton().fire());
        TextInputControl text = lookup("#profile-text").queryTextInputControl();
        assertThat(text.getText()).contains("soak: pressure 2.4 ±0.5").contains(";\n");
        interact(() -> {
            text.setText("soak: heat 9");
            lookup("#profile-keep-text").queryButton().fire();
        });
        assertThat(text("profile-refusal")).startsWith("Step 1 of the profile is not understood.");
        interact(() -> {
            text.setText("main: pressure 7 ±0.4");
            lookup("#profile-keep-text").queryButton().fire();
        });
        until("it is kept", () -> bench.plan().profiles().profile().steps().size() == 1);
        assertThat(bench.plan().profiles().profile().text()).isEqualTo("main: pressure 7 ±0.4");
    }

    @Test
    void stepsComeFromAShotAndGoThroughAFile() throws IOException {
        gentle();
        interact(() -> lookup("#profile-from-shot").queryButton().fire());
        until("a profile like the shot is there", () -> text("profile-title").startsWith("Like shot 5, version 1"));
        assertThat(bench.desk().noticeProperty().get().text()).startsWith("Steps read off shot 5.");
        chosenTarget = folder.resolve("like.json");
        interact(() -> lookup("#profile-save").queryButton().fire());
        until("it is saved", () -> Files.exists(chosenTarget));
        assertThat(Files.readString(chosenTarget)).contains("\"format\" : \"grenu-profile\"");
        chosenFiles.add(chosenTarget);
        interact(() -> lookup("#profile-open").queryButton().fire());
        until("it comes in under a name of its own",
                () -> text("profile-title").startsWith("Like shot 5 2, version 1"));
        chosenFiles.clear();
        chosenFiles.add(Files.writeString(folder.resolve("other.json"), "{}"));
        interact(() -> lookup("#profile-open").queryButton().fire());
        until("it is refused", () -> bench.desk().noticeProperty().get().kind() == Notice.Kind.FAILED);
        assertThat(bench.desk().noticeProperty().get().text()).startsWith("other.json holds no profile: ");
    }
}
