package org.grenu.figures.shelf;

import java.awt.Graphics2D;
import java.util.Optional;
import org.grenu.core.profile.Profile;
import org.grenu.core.record.RecordField;
import org.grenu.figures.paint.Words.Align;
import org.grenu.figures.theme.Theme;

/**
 * A profile on the shelf.
 *
 * @param profile its steps; empty while none are written down
 * @param shots   how many were pulled by it
 */
public record ProfileCard(Optional<Profile> profile, int shots) implements ShelfFigure {

    private static final double HEIGHT = 92;

    static ProfileCard of(Standing thing) {
        return new ProfileCard(thing.entries().entry(RecordField.PROFILE_STEPS).map(Profile::parse),
                thing.used().size());
    }

    @Override
    public double height() {
        return HEIGHT;
    }

    @Override
    public String words() {
        return profile.map(steps -> steps.steps().size() + " steps").orElse("no steps yet") + ", " + shots + " shots";
    }

    @Override
    public void paint(Graphics2D g, Theme theme, double width) {
        Sketch s = new Sketch(g, theme);
        if (profile.isEmpty()) {
            s.note("No steps yet. Draw them in Plan, Profiles.", 0, 16, Align.LEFT);
            return;
        }
        g.translate(0, 4);
        ProfileSketch.paint(g, theme, profile.get(), Math.min(240, width), HEIGHT - 26);
        g.translate(0, -4);
        s.prose(profile.get().text(), Math.min(240, width) + 18, 22, Math.max(40, width - 260));
        s.note(shots == 1 ? "1 shot" : shots + " shots", Math.min(240, width) + 18, 40, Align.LEFT);
    }
}
