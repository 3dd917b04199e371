package org.grenu.desktop.shell;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Map;
import java.util.TreeMap;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import org.grenu.figures.theme.Face;
import org.grenu.figures.theme.Theme;

/**
 * Dresses the window: the base sheet of the toolkit theme, our roles of colour from the figures' tokens, our rules.
 */
public final class ThemeSheet {

    private static final String RULES = "/org/grenu/desktop/grenu.css";

    private ThemeSheet() {
    }

    /** Makes the face known to the toolkit. */
    public static void loadFace() {
        for (Face face : Face.all()) {
            Font.loadFont(face.open(), 12);
        }
    }

    /** Dresses the scene in that theme. */
    public static void dress(Scene scene, Theme theme) {
        Application.setUserAgentStylesheet(
                theme.dark() ? new PrimerDark().getUserAgentStylesheet() : new PrimerLight().getUserAgentStylesheet());
        scene.getStylesheets().setAll(roles(theme), ThemeSheet.class.getResource(RULES).toExternalForm());
    }

    /** The tokens as looked-up colours: role {@code ink} becomes {@code -g-ink}. */
    static String roles(Theme theme) {
        StringBuilder css = new StringBuilder(".root {\n");
        for (Map.Entry<String, java.awt.Color> role : new TreeMap<>(theme.colors()).entrySet()) {
            css.append(String.format("  -g-%s: #%06X;%n", role.getKey(), role.getValue().getRGB() & 0xFFFFFF));
        }
        css.append("}\n");
        return "data:text/css;base64,"
                + Base64.getEncoder().encodeToString(css.toString().getBytes(StandardCharsets.UTF_8));
    }
}
