package org.grenu.app.importing;

import java.util.ArrayList;
import java.util.List;

/** A batch in a sentence. */
public final class ImportSummary {

    private ImportSummary() {
    }

    public static String of(List<ImportOutcome> outcomes, int left) {
        long imported = outcomes.stream().filter(o -> o instanceof ImportOutcome.Imported).count();
        long duplicates = outcomes.stream().filter(o -> o instanceof ImportOutcome.Duplicate).count();
        long failed = outcomes.stream().filter(o -> o instanceof ImportOutcome.Failed).count();
        List<String> parts = new ArrayList<>();
        parts.add(imported == 1 ? "1 shot imported" : imported + " shots imported");
        if (duplicates > 0) {
            parts.add(duplicates + " already in the library");
        }
        if (failed > 0) {
            parts.add(failed == 1 ? "1 file could not be read" : failed + " files could not be read");
        }
        if (left > 0) {
            parts.add("cancelled, " + left + " left out");
        }
        return String.join(" · ", parts);
    }
}
