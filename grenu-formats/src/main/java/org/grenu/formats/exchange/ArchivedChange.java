package org.grenu.formats.exchange;

/**
 * A correction.
 *
 * @param shot number of the shot it is of; 0 when it is of a thing on the shelf
 * @param thing what it was made on, where it is no shot
 * @param field entry
 * @param before its text before, empty for unknown
 * @param after its text after
 * @param reason why; may be empty
 * @param madeAt when, ISO 8601, UTC
 */
public record ArchivedChange(int shot, Thing thing, String field, String before, String after, String reason,
        String madeAt) {

    /**
     * What it was made on, where it is no shot.
     *
     * @param kind sort of thing; empty for a shot
     * @param name of the thing; empty for a shot
     * @param version of the thing; 0 for a shot
     */
    public record Thing(String kind, String name, int version) {
    }

    /** {@return sort of thing; empty for a shot} */
    public String kind() {
        return thing.kind;
    }

    /** {@return of the thing; empty for a shot} */
    public String name() {
        return thing.name;
    }

    /** {@return of the thing; 0 for a shot} */
    public int version() {
        return thing.version;
    }

}
