package org.grenu.library;

import java.util.Locale;

/** What a change is of. */
public enum Target {
    SHOT(new ShotAggregate()), ITEM(new ItemAggregate()), VERSION(new VersionAggregate()),
    ATTACHMENT(new AttachmentAggregate());

    private final Aggregate aggregate;

    Target(Aggregate aggregate) {
        this.aggregate = aggregate;
    }

    /** {@return so many of it in words, such as “2 shots”} */
    public String counted(int count) {
        return aggregate.called().of(count);
    }

    Aggregate aggregate() {
        return aggregate;
    }

    String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    static Target of(String key) {
        return valueOf(key.toUpperCase(Locale.ROOT));
    }
}
