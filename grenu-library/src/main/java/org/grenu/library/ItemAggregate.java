package org.grenu.library;

import org.grenu.core.shelf.ShelfKind;

/** Things on the shelf: of themselves they have a name; what else is known of one stands in its versions. */
final class ItemAggregate implements Aggregate {

    @Override
    public String table() {
        return "shelf_item";
    }

    @Override
    public Plural called() {
        return new Plural("thing of the shelf", "things of the shelf");
    }

    @Override
    public String name() {
        return "it.name";
    }

    @Override
    public Entry entry(Tables tables, long id, String key) {
        return new Entry("The name", new ShelfRows(tables).itemName(id));
    }

    @Override
    public void enter(Tables tables, long id, String key, String text) {
        alone(tables, id, text);
        new ShelfRows(tables).renameItem(id, text);
    }

    /** Shots may have named it before it was on the shelf, or another of its name that is in the bin. */
    @Override
    public void appeared(Tables tables, long id) {
        tables.names().forget();
        alone(tables, id, new ShelfRows(tables).itemName(id));
        new ShelfLinks(tables).renew(kind(tables, id));
    }

    @Override
    public void leaving(Tables tables) {
        for (ShelfKind kind : ShelfKind.values()) {
            new ShelfLinks(tables).renew(kind);
        }
    }

    private static void alone(Tables tables, long id, String name) {
        ShelfKind kind = kind(tables, id);
        tables.names().key(kind, name).filter(other -> other != id).ifPresent(other -> {
            throw new LibraryException("There is a " + kind.one() + " “" + name
                    + "” on the shelf already: call one of the two otherwise.");
        });
    }

    private static ShelfKind kind(Tables tables, long id) {
        return tables.handle()
                .createQuery("SELECT kind FROM shelf_item WHERE id = :id")
                .bind("id", id)
                .mapTo(String.class)
                .map(key -> ShelfKind.find(key).orElseThrow())
                .one();
    }
}
