package org.grenu.core.recipe;

import java.util.List;
import org.grenu.core.entry.Field;

/**
 * One entry to begin with.
 *
 * @param field   of a recipe
 * @param value   as it would be typed
 * @param because what it rests on, in words
 * @param source  who says so
 * @param others  what others would begin with
 */
public record Proposed(Field field, String value, String because, Source source, List<Other> others) {

    /** Who says so, the weightiest first. */
    public enum Source {
        /** This library's own shots. */
        HISTORY,
        /** A school that the user lets speak. */
        SCHOOL,
        /** Common practice, named as such. */
        PRACTICE
    }

    /**
     * What another school begins with.
     *
     * @param school who
     */
    public record Other(String value, String because, String school) {
    }

    public Proposed {
        others = List.copyOf(others);
    }
}
