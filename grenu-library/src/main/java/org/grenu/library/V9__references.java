package org.grenu.library;

import java.util.List;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.grenu.core.shelf.ShelfKind;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;

/**
 * Until now shots and things named what they were pulled with or of; from here on they refer to it ({@link
 * ShelfNames}). A beverage can be an estimate, and a shot has samples beside its cup.
 */
public final class V9__references extends BaseJavaMigration {

    /** A kind that comes later is referred to from its beginning, and its column is not there yet. */
    private static final List<ShelfKind> THERE_WERE = List.of(ShelfKind.COFFEE, ShelfKind.BAG, ShelfKind.GRINDER,
            ShelfKind.BASKET, ShelfKind.MACHINE, ShelfKind.SCALE, ShelfKind.REFRACTOMETER, ShelfKind.WATER,
            ShelfKind.SITE, ShelfKind.RECIPE, ShelfKind.STUDY);

    @Override
    public void migrate(Context context) {
        // The connection is lent: to close the handle would close it.
        Handle handle = Jdbi.open(context::getConnection);
        handle.execute("ALTER TABLE shot ADD COLUMN beverage_estimated TEXT");
        handle.execute("ALTER TABLE shot ADD COLUMN samples TEXT");
        ShelfLinks links = new ShelfLinks(Tables.of(handle));
        for (ShelfKind kind : THERE_WERE) {
            links.begin(kind);
        }
    }
}
