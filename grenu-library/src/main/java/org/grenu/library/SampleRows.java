package org.grenu.library;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import org.grenu.core.curve.Channel;
import org.grenu.core.curve.ShotLog;
import org.grenu.core.numbers.Samples;
import org.jdbi.v3.core.Handle;

/** The logs in the file: one packed row for the time and for each channel of a shot. */
final class SampleRows {

    private static final String TIME = "time";

    private final Handle handle;

    SampleRows(Handle handle) {
        this.handle = handle;
    }

    /**
     * What is stored of a log that was taken away again lies here no longer counted: whether the shot has one is
     * said by the shot.
     */
    ShotLog read(long shot) {
        Map<String,
                Samples> columns = handle.createQuery("SELECT channel, count, data FROM samples WHERE shot_id = :id")
                        .bind("id", shot)
                        .reduceResultSet(new LinkedHashMap<String, Samples>(), (map, row, context) -> {
                            map.put(row.getString(1), SampleBlob.unpack(row.getBytes(3), row.getInt(2)));
                            return map;
                        });
        Samples time = columns.remove(TIME);
        Map<Channel, Samples> channels = new EnumMap<>(Channel.class);
        columns.forEach((key, samples) -> Channel.find(key).ifPresent(channel -> channels.put(channel, samples)));
        return new ShotLog(time, channels);
    }

    void insert(long shot, ShotLog log) {
        handle.createUpdate("DELETE FROM samples WHERE shot_id = :id").bind("id", shot).execute();
        insert(shot, TIME, log.time());
        log.channels().forEach((channel, samples) -> insert(shot, channel.key(), samples));
    }

    private void insert(long shot, String channel, Samples samples) {
        handle.createUpdate("INSERT INTO samples (shot_id, channel, count, data) VALUES (:id, :channel, :count, :data)")
                .bind("id", shot)
                .bind("channel", channel)
                .bind("count", samples.size())
                .bind("data", SampleBlob.pack(samples))
                .execute();
    }
}
