package org.grenu.desktop.shell;

import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * Dresses the window: the base sheet of the toolkit theme, our roles of colour from the figures' tokens, our rules.
 */
public final class ThemeSheet {

    /** Kinds of sheets that there are of each theme. */
    static final String CONTROLS = "controls";
    static final String ROLES = "roles";
    static final String RULES = "/org/grenu/desktop/grenu.css";

    private static final AtomicBoolean FACE_LOADED = new AtomicBoolean();

    private ThemeSheet() {
    }

    /** Makes the face known to the toolkit, once. */
    public static void loadFace() {
        if (!FACE_LOADED.getAndSet(true)) {
            Face.all().forEach(face -> Font.loadFont(face.open(), 12));
        }
    }

    /** Dresses the scene in that theme. */
    public static void dress(Scene scene, Theme theme) {
        dress(scene, theme, 100);
    }

    /** Dresses the scene in that theme, with words of that size, %, in what pops up. */
    public static void dress(Scene scene, Theme theme, int percent) {
        dressControls(theme);
        scene.getStylesheets()
                .setAll(sheet(ROLES, theme), ThemeSheet.class.getResource(RULES).toExternalForm());
        if (percent != 100) {
            scene.getStylesheets().add(data(popups(percent)));
        }
    }

    /** Dresses controls in that theme; before the first of them it spares the toolkit reading its own sheet. */
    public static void dressControls(Theme theme) {
        Application.setUserAgentStylesheet(sheet(CONTROLS, theme));
    }

    /** {@return where the build has put the sheet of that kind for that theme} */
    private static String sheet(String kind, Theme theme) {
        return ThemeSheet.class.getResource("/org/grenu/desktop/" + name(kind, theme)).toExternalForm();
    }

    static String name(String kind, Theme theme) {
        return kind + "-" + (theme.dark() ? "dark" : "light") + ".css";
    }

    /** Menus, lists and tooltips are windows of their own, which the page's magnifier does not reach. */
    private static String popups(int percent) {
        return String.format(Locale.ROOT,
                ".context-menu, .context-menu .menu-item .label, .combo-box-popup .list-cell, .tooltip "
                        + "{ -fx-font-size: %.1fpx; }%n",
                12 * percent / 100.0);
    }

    /** The tokens as looked-up colours: role {@code ink} becomes {@code -g-ink}. */
    static String roles(Theme theme) {
        StringBuilder css = new StringBuilder(".root {\n");
        for (Map.Entry<String, java.awt.Color> role : new TreeMap<>(theme.colors()).entrySet()) {
            css.append(String.format("  -g-%s: #%06X;%n", role.getKey(), role.getValue().getRGB() & 0xFFFFFF));
        }
        css.append("}\n");
        return css.toString();
    }

    private static String data(String css) {
        return "data:text/css;base64," + Base64.getEncoder().encodeToString(css.getBytes(StandardCharsets.UTF_8));
    }
}
