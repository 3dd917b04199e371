package org.grenu.library;

import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.grenu.core.shelf.ShelfKind;
import org.jdbi.v3.core.Jdbi;

/**
 * Until now shots and things named what they were pulled with or of; from here on they refer to it ({@link
 * ShelfNames}).
 */
public final class V9__references extends BaseJavaMigration {

    @Override
    public void migrate(Context context) {
        // The connection is lent: to close the handle would close it.
        ShelfLinks links = new ShelfLinks(Tables.of(Jdbi.open(context::getConnection)));
        for (ShelfKind kind : ShelfKind.values()) {
            links.begin(kind);
        }
    }
}
