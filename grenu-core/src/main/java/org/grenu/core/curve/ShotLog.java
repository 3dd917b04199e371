package org.grenu.core.curve;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.grenu.core.numbers.Samples;

/**
 * A shot as it was logged, untouched: times in seconds, possibly irregular, repeated or running backward, and one
 * column of equal length per channel in its canonical unit. A shot that was not logged has {@link #NONE}.
 */
public record ShotLog(Samples time, Map<Channel, Samples> channels) {

    /** No samples of anything. */
    public static final ShotLog NONE = new ShotLog(Samples.of(), Map.of());

    /**
     * @throws IllegalArgumentException if there are times and no channel, a time is not finite, a channel's length
     * differs or a
     *                                  sample is infinite
     */
    public ShotLog {
        for (int i = 0; i < time.size(); i++) {
            if (!Double.isFinite(time.get(i))) {
                throw new IllegalArgumentException("time must be finite, sample " + i + " is " + time.get(i));
            }
        }
        EnumMap<Channel, Samples> copy = new EnumMap<>(Channel.class);
        copy.putAll(channels);
        copy.forEach((channel, samples) -> {
            if (!channel.logged()) {
                throw new IllegalArgumentException(channel.key() + " is computed, never logged");
            }
            if (samples.size() != time.size()) {
                throw new IllegalArgumentException(channel.key() + " must have " + time.size() + " samples, has "
                        + samples.size());
            }
            for (int i = 0; i < samples.size(); i++) {
                if (Double.isInfinite(samples.get(i))) {
                    throw new IllegalArgumentException(channel.key() + " must not be infinite, sample " + i + " is");
                }
            }
        });
        if (copy.isEmpty() && time.size() > 0) {
            throw new IllegalArgumentException("a log must have at least one channel beside time");
        }
        channels = Collections.unmodifiableMap(copy);
    }

    /** {@return the channel's samples, if it was logged} */
    public Optional<Samples> find(Channel channel) {
        return Optional.ofNullable(channels.get(channel));
    }

    /** {@return whether nothing was logged} */
    public boolean isEmpty() {
        return channels.isEmpty();
    }

    /** {@return the number of samples} */
    public int size() {
        return time.size();
    }

    /** {@return this log with one channel replaced or added} */
    public ShotLog with(Channel channel, Samples samples) {
        EnumMap<Channel, Samples> copy = new EnumMap<>(Channel.class);
        copy.putAll(channels);
        copy.put(channel, samples);
        return new ShotLog(time, copy);
    }
}
