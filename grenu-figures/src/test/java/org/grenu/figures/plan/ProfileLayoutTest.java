package org.grenu.figures.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.util.Optional;
import org.grenu.core.predict.ProfilePrediction;
import org.grenu.core.predict.PuckFit;
import org.grenu.core.profile.Profile;
import org.grenu.core.property.Draws;
import org.grenu.core.property.Seeds;
import org.grenu.figures.plan.ProfileHandle.Kind;
import org.grenu.figures.theme.Theme;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;

/** What is taken hold of stands where its number is, and a number goes where it is dragged to. */
class ProfileLayoutTest {

    private static final double WIDE = 640;
    private static final double HIGH = 460;

    private static Profile drawn(Draws any) {
        Profile profile = Profile.parse(String.format(java.util.Locale.ROOT,
                "soak: pressure %.1f ±0.5, flow at most %.1f until %.1f s after drip or %.1f s; rise: pressure %.1f "
                        + "over %.1f s ±0.5 until pressure above %.1f or %.1f s; main: flow %.1f ±0.3, pressure at "
                        + "most %.1f until %.1f g; taper: pressure 8 to %.1f over %.1f s ±0.5",
                any.number(1, 4), any.number(3, 6), any.number(1, 4), any.number(15, 30), any.number(6, 12),
                any.number(1, 5), any.number(5, 14), any.number(4, 8), any.number(1, 4), any.number(8, 13),
                any.number(15, 70), any.number(3, 7), any.number(4, 12)));
        return any.toss() ? profile : profile.heatedBy(any.integer(86, 96));
    }

    private static ProfileFigure figure(Profile profile) {
        return ProfileFigure.of(profile, Optional.empty(), Optional.empty());
    }

    /** A handle that is taken and let go where it stood changes nothing; each is found again at its place. */
    @ParameterizedTest
    @Seeds(60)
    void handlesStandWhereTheirNumbersAre(Draws any) {
        Profile profile = drawn(any);
        ProfileLayout layout = new ProfileLayout(figure(profile), WIDE, HIGH);
        for (ProfileHandle handle : layout.handles()) {
            assertThat(handle.x()).as(handle.words(profile)).isBetween(0.0, WIDE);
            assertThat(handle.y()).as(handle.words(profile)).isBetween(0.0, HIGH);
            assertThat(layout.at(handle.x(), handle.y())).as(handle.words(profile)).isPresent();
            boolean after = handle.kind() == Kind.EXIT && handle.words(profile).contains("after drip");
            if (!after) {
                assertThat(layout.valueAt(handle, handle.x(), handle.y())).as(handle.words(profile))
                        .isCloseTo(handle.value(profile), within(1e-6));
                assertThat(handle.set(profile, handle.value(profile)).text()).isEqualTo(profile.text());
            }
        }
    }

    /** Every handle can be dragged, and what came of it is still a profile: its text reads back as itself. */
    @ParameterizedTest
    @Seeds(40)
    void whereverTheyAreDraggedThereIsAProfile(Draws any) {
        Profile profile = drawn(any);
        ProfileLayout layout = new ProfileLayout(figure(profile), WIDE, HIGH);
        for (ProfileHandle handle : layout.handles()) {
            double value = layout.valueAt(handle, any.number(-50, WIDE + 50), any.number(-50, HIGH + 50));
            Profile dragged = handle.set(profile, value);
            assertThat(Profile.parse(dragged.text())).isEqualTo(dragged);
            assertThat(dragged.steps()).hasSameSizeAs(profile.steps());
        }
    }

    /** Over every step its name stands; below the heads there is none. */
    @Test
    void stepsAreFoundByTheirHeads() {
        Profile profile = Profile.parse("soak: pressure 3 ±0.5 until 10 s; main: pressure 9 ±0.5 until 30 s");
        ProfileFigure figure = figure(profile);
        ProfileLayout layout = new ProfileLayout(figure, WIDE, HIGH);
        for (int step = 0; step < 2; step++) {
            double middle = (figure.begin(step) + figure.ends().get(step)) / 2;
            assertThat(layout.stepAt(layout.x(middle), 10)).hasValue(step);
        }
        assertThat(layout.stepAt(layout.x(1), HIGH / 2)).isEmpty();
        assertThat(layout.seconds(layout.x(7.25))).isCloseTo(7.25, within(1e-9));
    }

    /** In both themes, predicted or not, with a handle taken or none: it is drawn, and the choice is to be seen. */
    @Test
    void theChosenHandleIsToBeSeen() {
        Profile profile = Profile.parse("soak: pressure 2.4 ±0.5 until 2 s after drip or 25 s; main: pressure 9 ±0.5");
        ProfileFigure figure = ProfileFigure.of(profile, Optional.empty(),
                Optional.of(ProfilePrediction.of(PuckFit.usual(18, 36, 93, 14), profile, 3)));
        for (Theme theme : java.util.List.of(Theme.LIGHT, Theme.DARK)) {
            ProfileHandle level = new ProfileLayout(figure, WIDE, HIGH).handles().get(0);
            assertThat(differing(painted(theme, figure, null), painted(theme, figure, level))).isGreaterThan(20);
            assertThat(differing(painted(theme, figure, null), painted(theme, figure(profile), null)))
                    .as("a prediction is drawn")
                    .isGreaterThan(500);
        }
    }

    private static BufferedImage painted(Theme theme, ProfileFigure figure, ProfileHandle chosen) {
        BufferedImage image = new BufferedImage((int) WIDE, (int) HIGH, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        ProfilePainter.paint(g, theme, figure, chosen, WIDE, HIGH);
        g.dispose();
        return image;
    }

    private static int differing(BufferedImage one, BufferedImage other) {
        int count = 0;
        for (int x = 0; x < one.getWidth(); x++) {
            for (int y = 0; y < one.getHeight(); y++) {
                count += one.getRGB(x, y) == other.getRGB(x, y) ? 0 : 1;
            }
        }
        return count;
    }
}
