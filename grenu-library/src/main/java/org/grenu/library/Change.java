package org.grenu.library;

import org.grenu.core.record.RecordEdit;

/**
 * A change of one entry of one thing, kept as data: it can be stored, shown, undone and redone. Making a thing and
 * putting it into the bin are changes of the entry {@link #BINNED} too.
 *
 * @param target what sort of thing
 * @param id     its key in the library
 * @param key    the entry
 * @param before its text before, empty for unknown
 * @param after  its text after, empty for unknown
 */
public record Change(Target target, long id, String key, String before, String after) {

    /** The entry that says when a thing was put into the bin; empty when it is not there. */
    public static final String BINNED = "(binned)";
    /** The entry that says which log a shot has, by its fingerprint; empty while it has none. */
    public static final String LOG = "(log)";
    /** The entry that says how far a shot's life has come. */
    public static final String STATE = "(state)";
    /** Instead of a moment: it was not made yet. */
    static final String NEVER = "never";

    /** {@return that edit of a shot's record} */
    public static Change of(long shot, RecordEdit edit) {
        return new Change(Target.SHOT, shot, edit.key(), edit.before(), edit.after());
    }

    /** {@return the change that takes this one back} */
    public Change inverse() {
        return new Change(target, id, key, after, before);
    }

    /** {@return whether it is of something written down, not of the thing's life} */
    public boolean ofEntry() {
        return !key.equals(BINNED) && !key.equals(LOG) && !key.equals(STATE);
    }

    /** {@return the change of a shot's record that this is} */
    public RecordEdit edit() {
        return new RecordEdit(key, before, after);
    }
}
