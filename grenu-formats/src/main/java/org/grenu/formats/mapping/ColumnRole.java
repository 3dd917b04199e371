package org.grenu.formats.mapping;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.grenu.core.curve.Channel;
import org.grenu.core.quantity.Quantity;
import org.grenu.core.record.RecordField;

/** What a column holds. */
public sealed interface ColumnRole {

    /** {@return the name under which a mapping file calls it} */
    String key();

    /** {@return the name on screen} */
    String title();

    /** {@return what its numbers measure; empty when it has no unit} */
    default Optional<Quantity> quantity() {
        return Optional.empty();
    }

    /** Nothing that is read. */
    record NotRead() implements ColumnRole {
        @Override
        public String key() {
            return "not_read";
        }

        @Override
        public String title() {
            return "not read";
        }
    }

    /** The time of the row. */
    record Time() implements ColumnRole {
        @Override
        public String key() {
            return "time";
        }

        @Override
        public String title() {
            return "time";
        }

        @Override
        public Optional<Quantity> quantity() {
            return Optional.of(Quantity.TIME);
        }
    }

    /** Which shot the row belongs to. */
    record ShotId() implements ColumnRole {
        @Override
        public String key() {
            return "shot_id";
        }

        @Override
        public String title() {
            return "shot number";
        }
    }

    /** A channel's samples. */
    record OfChannel(Channel channel) implements ColumnRole {
        @Override
        public String key() {
            return channel.key();
        }

        @Override
        public String title() {
            return channel.title().toLowerCase(Locale.ROOT);
        }

        @Override
        public Optional<Quantity> quantity() {
            return Optional.of(channel.quantity());
        }
    }

    /** An entry of the record, the same in every row of a shot. */
    record OfEntry(RecordField field) implements ColumnRole {
        @Override
        public String key() {
            return "entry:" + field.key();
        }

        @Override
        public String title() {
            return "entry: " + field.title();
        }
    }

    /** {@return every role a column can have} */
    static List<ColumnRole> all() {
        List<ColumnRole> roles = new ArrayList<>(List.of(new NotRead(), new Time()));
        Channel.ofLogs().forEach(channel -> roles.add(new OfChannel(channel)));
        roles.add(new ShotId());
        for (RecordField field : RecordField.values()) {
            roles.add(new OfEntry(field));
        }
        return roles;
    }

    /** {@return the role that a mapping file calls so} */
    static Optional<ColumnRole> find(String key) {
        return all().stream().filter(role -> role.key().equals(key)).findFirst();
    }
}
