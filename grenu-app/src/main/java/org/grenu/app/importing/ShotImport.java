package org.grenu.app.importing;

import java.io.IOException;
import java.nio.file.NoSuchFileException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.grenu.formats.FileFacts;
import org.grenu.formats.ImportFailure;
import org.grenu.formats.ParsedShot;
import org.grenu.formats.ShotReader;
import org.grenu.formats.mapping.MappedReader;
import org.grenu.formats.mapping.ShotFile;
import org.grenu.formats.mapping.TableMapping;
import org.grenu.library.AddOutcome;
import org.grenu.library.Library;
import org.grenu.library.LibraryException;
import org.grenu.library.ShotSummary;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Takes files into a library, each by itself: one that cannot be read does not stop the others. */
public final class ShotImport {

    private static final Logger LOG = LoggerFactory.getLogger(ShotImport.class);

    private final Library library;
    private final Optional<TableMapping> mapping;
    private final SavedMappings saved;

    /**
     * An import into that library.
     *
     * @param mapping how every file is to be read; empty: Grenu's own files as they are, others by a kept mapping
     *                that fits
     */
    public ShotImport(Library library, Optional<TableMapping> mapping) {
        this.library = library;
        this.mapping = mapping;
        this.saved = new SavedMappings(library);
    }

    /**
     * What one file gave.
     *
     * @param outcomes one for each shot in it, or why there is none
     * @param added    the shots that are new in the library
     */
    public record Taken(List<ImportOutcome> outcomes, List<ShotSummary> added) {

        /** {@return whether nothing of the file could be read} */
        public boolean refused() {
            return outcomes.stream().anyMatch(outcome -> outcome instanceof ImportOutcome.Failed);
        }
    }

    /** {@return what became of the file; whatever a reader throws is an outcome, never an exception} */
    public Taken take(ShotSource source) {
        List<ImportOutcome> outcomes = new ArrayList<>();
        List<ShotSummary> added = new ArrayList<>();
        try {
            byte[] bytes = source.read();
            for (ParsedShot parsed : read(source.name(), bytes)) {
                keep(source, bytes, parsed, outcomes, added);
            }
        } catch (ImportFailure | IOException | RuntimeException | Error failure) {
            outcomes.add(new ImportOutcome.Failed(source.name(), words(source.name(), failure)));
        }
        return new Taken(outcomes, added);
    }

    private void keep(ShotSource source, byte[] bytes, ParsedShot parsed, List<ImportOutcome> outcomes,
            List<ShotSummary> added) {
        AddOutcome outcome = library.write(tx -> tx.shots().add(source.name(), bytes, parsed.shot()));
        if (outcome instanceof AddOutcome.Added stored) {
            added.add(stored.shot());
            outcomes.add(
                    new ImportOutcome.Imported(source.name(), stored.shot().number(), parsed.assumptions()));
        } else {
            outcomes.add(new ImportOutcome.Duplicate(source.name(), ((AddOutcome.Duplicate) outcome).number()));
        }
    }

    /** Takes all of them in as one step that can be undone; for who need not see how far it is. */
    public List<ImportOutcome> takeAll(List<ShotSource> sources) {
        List<ImportOutcome> outcomes = new ArrayList<>();
        List<ShotSummary> added = new ArrayList<>();
        for (ShotSource source : sources) {
            Taken taken = take(source);
            outcomes.addAll(taken.outcomes);
            added.addAll(taken.added);
        }
        keepTogether(library, added);
        return outcomes;
    }

    /** Keeps that those shots came together, so that their import is undone as one step. */
    public static void keepTogether(Library library, List<ShotSummary> added) {
        if (!added.isEmpty()) {
            library.store(tx -> tx.journal()
                    .addedTogether(added.stream().map(ShotSummary::id).toList(),
                            "Import of "
                                    + (added.size() == 1 ? "shot " + added.get(0).number() : added.size() + " shots")));
        }
    }

    List<ParsedShot> read(String name, byte[] bytes) throws ImportFailure {
        String text = ShotReader.text(name, bytes);
        Optional<TableMapping> chosen = mapping.isPresent() || ShotReader.own(text) ? mapping
                : saved.fitting(name, text);
        return chosen.isPresent()
                ? FileFacts.complete(name, text, MappedReader.readText(name, text, chosen.get()))
                : ShotFile.read(name, bytes, text);
    }

    private static String words(String name, Throwable failure) {
        if (failure instanceof ImportFailure) {
            return failure.getMessage();
        }
        if (failure instanceof NoSuchFileException) {
            return name + ": There is no such file. Check the path.";
        }
        if (failure instanceof IOException || failure instanceof LibraryException) {
            return name + ": " + failure.getMessage();
        }
        LOG.error("Importing {} failed", name, failure);
        return name + ": The file could not be taken in (" + failure
                + "). Please keep it and report this; the other files are not affected.";
    }
}
