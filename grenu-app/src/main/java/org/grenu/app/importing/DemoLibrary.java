package org.grenu.app.importing;

import java.util.List;
import java.util.Optional;
import org.grenu.library.Library;

/** Fills a library with the demo study. */
public final class DemoLibrary {

    private DemoLibrary() {
    }

    /** Takes the demo's files in and puts its coffee and gear on the shelf. */
    public static List<ImportOutcome> fill(Library library) {
        List<ImportOutcome> outcomes = new ShotImport(library, Optional.empty()).takeAll(DemoFiles.all());
        library.write(tx -> tx.shelf().add(DemoFiles.shelf(), "The demo’s shelf"));
        return outcomes;
    }
}
