package org.grenu.library;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.grenu.core.record.RecordField;
import org.grenu.core.shelf.ShelfKind;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;

/**
 * Until now a profile was a name and a text in each shot; from here on it stands on the shelf, with a version for each
 * day from which its text was another. The shots keep their texts.
 */
public final class V13__profiles extends BaseJavaMigration {

    /** The steps that shots of a profile had, the day on which each shot was pulled or nothing. */
    private record Pulled(String name, String steps, String day) {
    }

    @Override
    public void migrate(Context context) {
        // The connection is lent: to close the handle would close it.
        Handle handle = Jdbi.open(context::getConnection);
        Map<String, List<Pulled>> byName = new LinkedHashMap<>();
        handle.createQuery("SELECT profile, profile_steps, substr(coalesce(pulled_at, ''), 1, 10) AS day FROM shot "
                + "WHERE binned_at = '' AND profile <> '' AND profile_steps <> '' ORDER BY day, id")
                .map((row, any) -> new Pulled(row.getString(1), row.getString(2), row.getString(3)))
                .forEach(shot -> byName
                        .computeIfAbsent(shot.name.toLowerCase(Locale.ROOT), any -> new ArrayList<>())
                        .add(shot));
        ShelfRows shelf = new ShelfRows(Tables.of(handle));
        byName.values().forEach(shots -> put(shots, shelf, handle));
        new ShelfLinks(Tables.of(handle)).renew(ShelfKind.PROFILE);
    }

    private static void put(List<Pulled> shots, ShelfRows shelf, Handle handle) {
        boolean there = handle.createQuery("SELECT count(*) FROM shelf_item WHERE kind = 'profile' AND lower(name) = ?")
                .bind(0, shots.get(0).name.toLowerCase(Locale.ROOT))
                .mapTo(Integer.class)
                .one() > 0 || shots.get(0).name.startsWith("#");
        if (there) {
            return;
        }
        long item = shelf.addItem(ShelfKind.PROFILE, shots.get(0).name, Instant.now().toString());
        handle.execute("UPDATE shelf_item SET binned_at = '' WHERE id = ?", item);
        String steps = "";
        String since = "";
        int number = 0;
        for (Pulled shot : shots) {
            boolean later = number == 0 || shot.day.compareTo(since) > 0;
            if (!shot.steps.equals(steps) && later) {
                since = number == 0 ? "" : shot.day;
                number++;
                shelf.addVersion(item, number, since, number == 1 ? "" : "as its shots had it",
                        Map.of(RecordField.PROFILE_STEPS, shot.steps), "");
                steps = shot.steps;
                since = shot.day;
            }
        }
    }
}
