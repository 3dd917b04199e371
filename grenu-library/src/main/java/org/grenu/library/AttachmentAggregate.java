package org.grenu.library;

import java.util.Optional;

/** Photos and other files that belong to a shot. Nothing of them is changed. */
final class AttachmentAggregate implements Aggregate {

    @Override
    public String table() {
        return "attachment";
    }

    @Override
    public Plural called() {
        return new Plural("photo or other file", "photos and other files");
    }

    @Override
    public String name() {
        return "it.name || ' of shot ' || (SELECT number FROM shot WHERE id = it.shot_id)";
    }

    @Override
    public Optional<Owner> owner() {
        return Optional.of(new Owner(Target.SHOT, "shot_id", true));
    }

    @Override
    public Entry entry(Tables tables, long id, String key) {
        throw new IllegalArgumentException("an attachment has no entry " + key);
    }

    @Override
    public void enter(Tables tables, long id, String key, String text) {
        throw new IllegalArgumentException("an attachment has no entry " + key);
    }
}
