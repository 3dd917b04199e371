package org.grenu.core.quantity;

import java.util.Locale;

/** Names that begin with a capital on screen, within a sentence. */
public final class Title {

    private Title() {
    }

    /**
     * {@return the title with a small first letter, unless it begins with an abbreviation such as EY} Formulae
     * within stay as they are.
     */
    public static String inSentence(String title) {
        return title.length() > 1 && Character.isUpperCase(title.charAt(1)) ? title
                : title.substring(0, 1).toLowerCase(Locale.ROOT) + title.substring(1);
    }
}
