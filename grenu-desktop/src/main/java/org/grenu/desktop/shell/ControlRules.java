package org.grenu.desktop.shell;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.grenu.figures.theme.Theme;

/**
 * The toolkit theme's rules for the controls that the window has. The theme dresses every control there is; the
 * toolkit
 * holds each rule against each node, so that rules for tables, charts and calendars would cost a third of opening the
 * window.
 */
final class ControlRules {

    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/", Pattern.DOTALL);
    private static final Pattern RULE = Pattern.compile("([^{}]+)(\\{[^{}]*\\})");
    private static final Pattern STYLE_CLASS = Pattern.compile("\\.([a-zA-Z][\\w-]*)");

    /** Style classes of those controls and of their parts. */
    private static final Set<String> KEPT = Set.of("root", "label", "button", "toggle-button", "check-box", "box",
            "mark",
            "radio-button", "radio", "dot", "choice-box", "open-button", "combo-box", "combo-box-base",
            "combo-box-popup", "arrow",
            "arrow-button", "list-view", "list-cell", "cell", "indexed-cell", "virtual-flow", "clipped-container",
            "sheet", "scroll-bar", "thumb", "track", "track-background", "increment-button", "decrement-button",
            "increment-arrow", "decrement-arrow", "corner", "scroll-pane", "viewport", "edge-to-edge", "context-menu",
            "menu-item", "menu-button", "menu", "radio-menu-item", "check-menu-item", "check", "custom-menu-item",
            "separator", "line", "left-container", "right-container", "graphic-container", "tooltip", "text",
            "text-input", "text-field", "text-area", "content", "progress-bar", "bar", "split-pane",
            "split-pane-divider", "horizontal-grabber", "vertical-grabber", "scroll-arrow", "menu-up-arrow",
            "menu-down-arrow", "scrollable-content", "mnemonic-underline", "left-arrow", "right-arrow", "card",
            "header", "code", "icon", "title", "placeholder", "popup", "accelerator-text");

    private ControlRules() {
    }

    /** {@return those rules of that theme, as a style sheet} */
    static String of(Theme theme) {
        StringBuilder kept = new StringBuilder();
        Matcher rules = RULE.matcher(COMMENT.matcher(whole(theme)).replaceAll(""));
        while (rules.find()) {
            String selectors = Arrays.stream(rules.group(1).split(","))
                    .map(String::strip)
                    .filter(ControlRules::kept)
                    .collect(Collectors.joining(", "));
            if (!selectors.isEmpty()) {
                kept.append(selectors).append(' ').append(rules.group(2)).append('\n');
            }
        }
        return kept.toString();
    }

    /** {@return style classes that the theme has rules for and the window goes without} */
    static Set<String> dropped(Theme theme) {
        Set<String> dropped = new TreeSet<>();
        Matcher rules = RULE.matcher(COMMENT.matcher(whole(theme)).replaceAll(""));
        while (rules.find()) {
            STYLE_CLASS.matcher(rules.group(1)).results().map(found -> found.group(1)).forEach(dropped::add);
        }
        dropped.removeAll(KEPT);
        return dropped;
    }

    private static boolean kept(String selector) {
        return STYLE_CLASS.matcher(selector).results().allMatch(found -> KEPT.contains(found.group(1)));
    }

    private static String whole(Theme theme) {
        String sheet = "/atlantafx/base/theme/primer-" + (theme.dark() ? "dark" : "light") + ".css";
        try (InputStream in = atlantafx.base.theme.Theme.class.getResourceAsStream(sheet)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }
}
